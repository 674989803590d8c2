import type { DistanceReading } from '../stride/readDistance';
import type { StrideWord } from '../stride/strideWord';
import type { LegGroundCost, TooTightTurn } from '../track/turnCost';
import type { LegMeasures } from '../track/leg';
import type { Chain } from '../geometry/chain';
import type { OwnLine } from './ownLine';

export type HorseReading = DistanceReading & {
  horseId: string;
  /** What the horse is called. */
  horse: string;
  /** The asked count judged by itself, or null where none was asked, or it cannot be ridden. */
  asked: { strides: number; q: number; word: StrideWord } | null;
  /** The turn that keeps this horse from riding it at this gait: no count is called then. */
  cannot: TooTightTurn | null;
  /** Over a fan, the line that this horse rides; null where all ride the middle. */
  ownLine: OwnLine | null;
};

export type ReckonedLeg = LegMeasures & {
  /** What its turns cost: the ground as it counts for strides. */
  cost: LegGroundCost;
  /** Where a pole lies in the gap before the fence it leads to, the gap from the fence before: that is what is read. */
  gap: PoledGap | null;
  from: string;
  to: string;
  chain: Chain;
  instead: 'no-natural-track' | 'no-wide-track' | null;
  readings: HorseReading[];
};

/** From a fence over a pole to the next fence: one distance, ridden as if the pole were not there. */
export type PoledGap = { from: string; groundM: number; chain: Chain; cost: LegGroundCost };
