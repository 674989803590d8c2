import {
  askedReview,
  faultCounts,
  gaitClaims,
  gaitReview,
  legReviews,
  profileStride,
  qualityClaims,
  askedClaims,
  faultClaims,
  reinClaims,
  riderClaims,
  riderReview,
  reinReview,
  STRIDE_ENTRY_KEYS,
  riddenDays,
  strideClaims,
  strideReviews,
  tempoReviews,
  type ClaimWords,
  type StrideEntryKey,
} from '@/core';
import type { RoanDatabase } from '../database';
import { findHorse, horseOverTime } from './horses';
import { dayPasses } from './dayPasses';
import { sumsOf } from './kept/sums';
import type { YardClock } from './reviewPasses';

type Reader = Pick<RoanDatabase, 'select'>;

/** All that the record says of a pair, in numbers and in sentences. */
export async function pairRecord(
  db: Reader,
  yardId: string,
  pair: { id: string; horseId: string },
  clock: YardClock,
  words: ClaimWords,
) {
  const passes = await dayPasses(db, yardId, { pairIds: [pair.id] }, clock);
  const horse = await findHorse(db, yardId, pair.horseId);
  if (!horse) throw new Error(`pairRecord: no horse ${pair.horseId}`);
  const thought = (entry: StrideEntryKey) => profileStride(horse, entry)?.normalM ?? null;
  // What was ridden was reckoned with the strides of its day.
  const { profileAt, key: profiles } = await horseOverTime(db, yardId, horse);
  const thoughtThen = (entry: StrideEntryKey, atMs: number) => profileStride(profileAt(atMs), entry)?.normalM ?? null;
  // Sentences are written in the yard's unit and words: what is written differently is another review.
  const written = [words.horse, words.format(1), words.formatChange(0.1), ...STRIDE_ENTRY_KEYS.map(words.entryName)];
  const key = JSON.stringify([profiles, horse.strides, written]);
  const wish = { of: { pairIds: [pair.id] }, name: `pair ${pair.id}`, key };
  const sums = await sumsOf(db, yardId, clock, wish, () => {
    const strides = strideReviews(passes, thought, entry => profileStride(horse, entry)?.spread);
    const asked = askedReview(passes, thoughtThen);
    const faults = faultCounts(passes);
    const reins = reinReview(passes);
    const gaits = gaitReview(passes);
    const rider = riderReview(passes);
    return {
      ...{ strides, asked, faults, reins, gaits, rider },
      legs: legReviews(passes, thoughtThen),
      tempos: tempoReviews(passes),
      days: riddenDays(passes),
      claims: [
        ...strideClaims(strides, thought, words),
        ...reinClaims(passes, words, reins),
        ...qualityClaims(passes, words),
        ...askedClaims(asked, words),
        ...faultClaims(faults, passes.length, words),
        ...gaitClaims(gaits, words),
        ...riderClaims(rider),
      ],
    };
  });
  return { ...sums, passes, horse };
}
