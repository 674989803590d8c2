import 'server-only';
import {
  grouped,
  holm,
  profileStride,
  riddenLately,
  strideReviews,
  type RiddenLately,
  type StrideEntryKey,
  type StrideReview,
} from '@/core';
import type { RoanDatabase } from '@/data/database';
import { listHorses, type Horse } from '@/data/queries/horses';
import { listPairs } from '@/data/queries/pairs';
import { sumsOf } from '@/data/queries/kept/sums';
import { lengthUnit } from '@/data/queries/settings';
import { reviewWords } from '../review/reviewWords';
import { yardClock } from './yardTime';

type Yard = { id: string; timeZone: string };
type OfHorse = { horse: Horse; reviews: StrideReview[] };

/** What the record of the whole yard says of its horses’ strides, whoever rode them. */
export async function yardStrides(db: RoanDatabase, yard: Yard): Promise<OfHorse[]> {
  const [horses, pairs] = await Promise.all([listHorses(db, yard.id), listPairs(db, yard.id)]);
  const key = JSON.stringify([
    horses.map(({ id, strides, heightM, type }) => [id, strides, heightM, type]),
    pairs.map(({ id, horseId }) => [id, horseId]),
  ]);
  const wish = { of: 'all', name: 'strides', key } as const;
  const reviews = await sumsOf(db, yard.id, yardClock(yard.timeZone), wish, passes => {
    const horseOf = new Map(pairs.map(({ id, horseId }) => [id, horseId]));
    const byHorse = grouped(passes, ({ pairId }) => horseOf.get(pairId) ?? '');
    return horses.map(horse => {
      const thought = (entry: StrideEntryKey) => profileStride(horse, entry)?.normalM ?? null;
      const spread = (entry: StrideEntryKey) => profileStride(horse, entry)?.spread;
      return strideReviews(byHorse.get(horse.id) ?? [], thought, spread);
    });
  });
  return horses.map((horse, index) => ({ horse, reviews: reviews[index]! }));
}

/** The strides that horses were ridden in lately, by the horse’s id; those of whom too little is known are left out. */
export async function riddenStrides(db: RoanDatabase, yard: Yard): Promise<Record<string, RiddenLately[]>> {
  const told = (await yardStrides(db, yard)).map(
    ({ horse, reviews }) => [horse.id, reviews.flatMap(review => riddenLately(review) ?? [])] as const,
  );
  return Object.fromEntries(told.filter(([, lately]) => lately.length > 0));
}

/** Strides that have grown or got shorter over the record, as far as that is sure over all that were looked at. */
export async function strideDrifts(db: RoanDatabase, yard: Yard): Promise<string[]> {
  const unit = await lengthUnit(db, yard.id);
  const found = (await yardStrides(db, yard)).flatMap(({ horse, reviews }) =>
    reviews.flatMap(({ entry, drift }) => (drift ? [{ horse: horse.name, entry, drift }] : [])),
  );
  const holds = holm(found.map(({ drift }) => drift.p));
  return found
    .filter((_, index) => holds[index])
    .map(({ horse, entry, drift }) => {
      const words = reviewWords(horse, unit);
      const by = words.formatChange(drift.change).replace(/^[+−]/, '');
      return `${horse}’s ${words.entryName(entry)} has ${drift.change > 0 ? 'grown' : 'got shorter'} over the season by about ${by}: look whether its distances still fit.`;
    });
}
