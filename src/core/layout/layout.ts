import type { Arena } from '../arena/arena';
import type { PointM } from '../geometry/pointM';
import type { StrideEntryKey, GaitedGait, StrideRange } from '../horse/strideEntry';
import type { Item } from '../items/item';
import type { Approach, School, Setting } from '../stride/school';

/** The gaits a track may be ridden in. */
export type TrackGait = 'walk' | 'trot' | 'canter' | 'course-canter' | GaitedGait;

export const TRACK_GAITS: readonly TrackGait[] = [
  'walk',
  'trot',
  'canter',
  'course-canter',
  'flat-walk',
  'running-walk',
  'fox-trot',
  'saddle-gait',
  'pace',
];

export type LegTrackChoice = 'direct' | 'natural' | 'wide' | { via: PointM };

export type PlannedLeg = {
  track: LegTrackChoice;
  setting: Setting;
  approach: Approach;
  /** The count that is meant, or null. */
  asked: number | null;
  /** For a circle back to the same item. */
  circle: { rein: 'left' | 'right'; radiusM: number } | null;
};

export type PlannedTrack = {
  id: string;
  gait: TrackGait;
  through: { item: string; reversed: boolean }[];
  /** One fewer than `through`. */
  legs: PlannedLeg[];
};

export type LayoutHorse = {
  name: string;
  heightM: number;
  strides: Partial<Record<StrideEntryKey, StrideRange & { spread?: number }>>;
};

/** A whole layout, as the layout file holds it. */
export type Layout = {
  name: string;
  arena: Arena;
  school: School;
  items: Item[];
  tracks: PlannedTrack[];
  horses: LayoutHorse[];
};

export const DEFAULT_LEG: PlannedLeg = {
  track: 'natural',
  setting: 'course',
  approach: 'canter',
  asked: null,
  circle: null,
};
