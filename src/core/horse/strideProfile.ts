import { defaultStride } from './defaultStrides';
import { type HorseType } from './horse';
import type { StrideEntryKey, StrideRange } from './strideEntry';

/** `learned`: from what was ridden, and taken over by somebody. */
export type StrideSource = 'default' | 'typed' | 'tested' | 'learned';

/** `interval`: where a test puts the true normal stride, 95 times in 100. */
export type ProfileStride = StrideRange & {
  source: StrideSource;
  interval?: StrideInterval;
  /** How much it varies from stride to stride, a share of normal, as a test found it; left out where none did. */
  spread?: number;
};

export type StrideInterval = { lowM: number; highM: number };

/** Common practice, no source: how far off a normal stride may be that nobody tested, as a share of it. */
const UNSURE: Record<StrideSource, number> = { default: 0.1, typed: 0.05, tested: 0.04, learned: 0.04 };

/**
 * How sure a stride is: the bounds its true normal lies within, about 95 times in 100. A test or a record brings its own; a stride
 * that was typed in is taken to be within 5 %, practice's guess from the height within 10 %.
 */
export function strideCertainty({ normalM, source, interval }: ProfileStride): StrideInterval {
  return interval ?? { lowM: normalM * (1 - UNSURE[source]), highM: normalM * (1 + UNSURE[source]) };
}

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
