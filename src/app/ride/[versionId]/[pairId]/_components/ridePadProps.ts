import type { Question, RideWay, RowFit, TrackGait } from '@/core';
import type { Pair } from '@/data/queries/pairs';
import type { RideSetting } from '../_state/useRide';
import type { PutRight } from './RidePutRight';

export type RidePadProps = {
  pair: Pair;
  versionId: string;
  layoutName: string;
  gait: TrackGait | null;
  /** What the track goes over; 0 on the flat. */
  poles: number;
  /** From pole to pole, or null where it is no even row of poles. */
  spacingM: number | null;
  stage: string;
  question: Question;
  /** Everything that can be ridden over this layout, by its place in the address. */
  asks: readonly string[];
  askedIndex: number;
  ways: readonly RideWay[];
  /** What the row asks of this pair's horse, where it is a row. */
  fit: RowFit | null;
  /** The plan has changed since this ride began. */
  planChanged: boolean;
  /** The yard’s own words. */
  faults: readonly string[];
  riderMarks: readonly string[];
  first: RideSetting['first'];
  /** What a pass is put right with. */
  putRight: PutRight;
};

/** What lies over the pad of one pair. */
export type RideSheet = 'ride' | 'more' | null;

export const CARE =
  'A pole that a horse keeps hitting comes down or out. Stop at signs of pain, tiredness or unevenness, and ask a vet.';
