import { defaultStride } from './defaultStrides';
import { type HorseType } from './horse';
import type { StrideEntryKey, StrideRange } from './strideEntry';

export type StrideSource = 'default' | 'typed' | 'tested';

export type ProfileStride = StrideRange & { source: StrideSource };

/** A horse as the reckoning sees it. Entries that are missing fall back to the default for the height and type. */
export type HorseProfile = {
  heightM: number;
  type: HorseType;
  strides: Partial<Record<StrideEntryKey, ProfileStride>>;
};

/**
 * The stride of one entry: the horse's own where it is known, else practice's for its height and type.
 * @returns null for a gaited gait that nobody has entered or tested
 * @throws {RangeError} a height outside 0.6 to 2.2 m
 */
export function profileStride(horse: HorseProfile, entry: StrideEntryKey): ProfileStride | null {
  const own = horse.strides[entry];
  if (own) return own;
  const fallback = defaultStride(entry, horse.heightM, horse.type);
  return fallback && { ...fallback, source: 'default' };
}
