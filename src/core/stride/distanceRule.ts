import { ridingHeightM } from '../items/footprint';
import type { RiddenItem } from '../items/item';
import { jumpAllowanceM } from './jumpAllowance';
import type { Approach, School, Setting } from './school';

/**
 * How much ground n strides want, in normal strides of the horse: `strides(n)` for whole and parted n. `fixed` is the
 * part that does not stretch with the stride asked for (landing and take-off in the two-metre school). `zeroStrides`
 * is what no stride at all wants, or null where that is not rated.
 */
export type DistanceRule = {
  fixed: number;
  perStride: number;
  zeroStrides: number | null;
  zeroIs: 'bounce' | 'step';
  /** Whether landing and take-off keep their length when the strides between them are stretched. */
  keepsFixed: boolean;
};

/** Common practice, no source: a bounce, and a placing pole from canter and from trot, in strides. */
const GRID_BOUNCE = 5 / 6;
const PLACING_POLE = { canter: 0.75, trot: 0.7 } as const;

export type DistanceCase = {
  school: School;
  setting: Setting;
  approach: Approach;
  from: RiddenItem;
  to: RiddenItem;
};

/**
 * The rule of a distance.
 * Poles, in both schools: n strides want n + 1. Course: whole-stride n + 1; two-metre landing + take-off + n. Grid, in
 * both schools: n + ½, a bounce five sixths, a placing pole three quarters (from trot 0.70), a landing pole unrated.
 */
export function distanceRule({ school, setting, approach, from, to }: DistanceCase): DistanceRule {
  if (setting === 'poles') return { fixed: 1, perStride: 1, zeroStrides: 1, zeroIs: 'step', keepsFixed: false };
  if (setting === 'grid' || approach === 'trot')
    return { fixed: 0.5, perStride: 1, zeroStrides: gridZero(from, to, approach), zeroIs: 'bounce', keepsFixed: false };
  if (school === 'whole-stride') return { fixed: 1, perStride: 1, zeroStrides: 1, zeroIs: 'bounce', keepsFixed: false };
  // Allowances grow in proportion to the stride, so in strides they are the same for every horse.
  const allowances = jumpAllowanceM(ridingHeightM(from), 1) + jumpAllowanceM(ridingHeightM(to), 1);
  return { fixed: allowances, perStride: 1, zeroStrides: allowances, zeroIs: 'bounce', keepsFixed: true };
}

function gridZero(from: RiddenItem, to: RiddenItem, approach: Approach): number | null {
  if (from.kind === 'pole' && to.kind === 'fence') return PLACING_POLE[approach];
  if (from.kind === 'fence' && to.kind === 'pole') return null;
  return GRID_BOUNCE;
}

/** The share of the normal stride at which the ground is just enough for so many strides, whole or parted, over 0. */
export function neededShare(inStrides: number, count: number, { fixed, perStride, keepsFixed }: DistanceRule): number {
  return keepsFixed ? (inStrides - fixed) / (count * perStride) : inStrides / (fixed + count * perStride);
}
