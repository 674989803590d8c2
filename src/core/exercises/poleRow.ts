import type { PointM } from '../geometry/pointM';
import type { StrideEntryKey } from '../horse/strideEntry';
import type { RaisedEnds } from '../items/pole';

export type PoleGait = 'walk' | 'trot' | 'canter';

export const POLE_GAITS: readonly PoleGait[] = ['walk', 'trot', 'canter'];

/** Where a row's spacing comes from: the horse's own step or stride, or a number that somebody set. */
export type RowSpacing = { by: 'horse' } | { by: 'hand'; spacingM: number };

/** A row of poles as it was asked for. It stays parametric: change the horse and the poles follow. */
export type PoleRow = {
  kind: 'pole-row';
  id: string;
  gait: PoleGait;
  /** Halfway between the first and the last pole. */
  centre: PointM;
  headingRad: number;
  poleLengthM: number;
  /** One entry a pole, in the order ridden. */
  raised: RaisedEnds[];
  spacing: RowSpacing;
};

/** The profile entry that spaces a row: steps at walk and trot, whole strides at canter. */
export const ENTRY_OF_GAIT: Record<PoleGait, StrideEntryKey> = {
  walk: 'walk-poles',
  trot: 'trot-poles',
  canter: 'canter-poles',
};
