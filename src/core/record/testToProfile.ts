import { defaultStride } from '../horse/defaultStrides';
import { STRIDE_ENTRY_KEYS, type StrideEntryKey } from '../horse/strideEntry';
import { profileStride, type HorseProfile, type ProfileStride } from '../horse/strideProfile';
import type { StrideTestReading } from './strideTest';

/**
 * What a test would make of the entry it was ridden for: its own normal, short and long; a pace that was not ridden
 * keeps its proportion to normal. Short or long alone teach how short and long the horse goes, and leave its normal stride as it
 * is known. Null in a lane that was not taped.
 */
export function profileFromTest(
  reading: StrideTestReading,
  horse: HorseProfile,
  entry: StrideEntryKey,
): ProfileStride | null {
  const { normal, short, long } = reading.paces;
  if (!normal?.stride) return withoutNormal(reading, horse, entry);
  const normalM = normal.stride.strideM;
  const known = profileStride(horse, entry);
  const share = known
    ? { short: known.shortM / known.normalM, long: known.longM / known.normalM }
    : { short: 1, long: 1 };
  return {
    // A pony that was no shorter when asked has its normal stride as its shortest.
    shortM: Math.min(normalM, short?.stride?.strideM ?? normalM * share.short),
    normalM,
    longM: Math.max(normalM, long?.stride?.strideM ?? normalM * share.long),
    source: 'tested',
    interval: { lowM: normal.stride.lowM, highM: normal.stride.highM },
    spread: normal.spread,
  };
}

function withoutNormal(
  { paces: { short, long } }: StrideTestReading,
  horse: HorseProfile,
  entry: StrideEntryKey,
): ProfileStride | null {
  const known = profileStride(horse, entry);
  const [shortM, longM] = [short?.stride?.strideM, long?.stride?.strideM];
  if (!known || (shortM === undefined && longM === undefined)) return null;
  // Its normal stride lies between what it did when it was asked shorter and longer.
  const normalM = Math.min(longM ?? Infinity, Math.max(shortM ?? 0, known.normalM));
  return {
    shortM: Math.min(normalM, shortM ?? known.shortM),
    normalM,
    longM: Math.max(normalM, longM ?? known.longM),
    source: 'tested',
  };
}

/** Entries that a gait is kept under: in the lane, over poles, between fences. */
const FAMILIES: readonly (readonly StrideEntryKey[])[] = [
  ['walk', 'walk-poles'],
  ['trot', 'trot-poles'],
  ['canter', 'canter-poles', 'course-canter'],
];

export type EntrySuggestion = { entry: StrideEntryKey; fromM: number; toM: number };

/**
 * What a test says about the gait's other entries, in proportion to their defaults. A suggestion only, and only for
 * entries that nobody has typed in or tested: the work changes the stride.
 */
export function suggestEntries(horse: HorseProfile, tested: StrideEntryKey, normalM: number): EntrySuggestion[] {
  const usual = defaultStride(tested, horse.heightM, horse.type);
  const family = FAMILIES.find(entries => entries.includes(tested));
  if (!usual || !family) return [];
  const ratio = normalM / usual.normalM;
  return STRIDE_ENTRY_KEYS.filter(entry => entry !== tested && family.includes(entry)).flatMap(entry => {
    const stride = profileStride(horse, entry);
    if (!stride || stride.source !== 'default') return [];
    return [{ entry, fromM: stride.normalM, toM: stride.normalM * ratio }];
  });
}
