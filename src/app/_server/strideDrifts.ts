import 'server-only';
import { holm, profileStride, strideReviews, type ReviewPass, type StrideEntryKey } from '@/core';
import type { RoanDatabase } from '@/data/openDatabase';
import { listHorses } from '@/data/queries/horses';
import { reckonedOnce } from '@/data/queries/reckonedOnce';
import { reviewPasses } from '@/data/queries/reviewPasses';
import { lengthUnit } from '@/data/queries/settings';
import { reviewWords } from '../review/reviewWords';
import { yardClock } from './yardTime';

type Pair = { id: string; horseId: string; horseName: string };

/** Strides that have grown or got shorter over the record, as far as that is sure over all that were looked at. */
export async function strideDrifts(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  pairs: readonly Pair[],
): Promise<string[]> {
  const [passes, horses, unit] = await Promise.all([
    reviewPasses(db, yard.id, 'all', yardClock(yard.timeZone)),
    listHorses(db, yard.id),
    lengthUnit(db, yard.id),
  ]);
  const key = JSON.stringify(['drifts', unit, horses.map(({ id, strides }) => [id, strides])]);
  return reckonedOnce(passes, key, () => {
    const byHorse = new Map<string, ReviewPass[]>();
    const horseOf = new Map(pairs.map(({ id, horseId }) => [id, horseId]));
    for (const pass of passes) {
      const horseId = horseOf.get(pass.pairId) ?? '';
      const own = byHorse.get(horseId);
      if (own) own.push(pass);
      else byHorse.set(horseId, [pass]);
    }
    const found = horses.flatMap(horse => {
      const own = byHorse.get(horse.id) ?? [];
      const thought = (entry: StrideEntryKey) => profileStride(horse, entry)?.normalM ?? null;
      return strideReviews(own, thought, entry => profileStride(horse, entry)?.spread).flatMap(({ entry, drift }) =>
        drift ? [{ horse: horse.name, entry, drift }] : [],
      );
    });
    const holds = holm(found.map(({ drift }) => drift.p));
    return found
      .filter((_, index) => holds[index])
      .map(({ horse, entry, drift }) => {
        const words = reviewWords(horse, unit);
        const by = words.formatChange(drift.change).replace(/^[+−]/, '');
        return `${horse}’s ${words.entryName(entry)} has ${drift.change > 0 ? 'grown' : 'got shorter'} over the season by about ${by}: look whether its distances still fit.`;
      });
  });
}
