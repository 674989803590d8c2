import 'server-only';
import { legReviews, profileStride, reinReview, type LegReview, type ReinReview, type StrideReview } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { listPairs } from '@/data/queries/pairs';
import { dayPasses } from '@/data/queries/dayPasses';
import { sumsOf } from '@/data/queries/kept/sums';
import { yardStrides } from '../../../_server/yardStrides';
import { yardClock } from '../../../_server/yardTime';

/** So many legs are told, those that were counted most often. */
const MOST_LEGS = 5;

/** What the record says of a horse, whoever rode it: its strides, left against right, and the counts of its legs. */
export async function riddenByRecord(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  horseId: string,
): Promise<{ strides: StrideReview[]; reins: ReinReview['measures']; legs: LegReview[] }> {
  const pairIds = (await listPairs(db, yard.id)).filter(pair => pair.horseId === horseId).map(({ id }) => id);
  const clock = yardClock(yard.timeZone);
  const passes = await dayPasses(db, yard.id, { pairIds }, clock);
  const known = (await yardStrides(db, yard)).find(({ horse }) => horse.id === horseId);
  const strides = known?.reviews ?? [];
  // Told beside the profile as it is: a horse’s page is of today.
  const thoughtM = (entry: Parameters<typeof profileStride>[1]) =>
    (known && profileStride(known.horse, entry)?.normalM) ?? null;
  const legs = legReviews(passes, thoughtM).slice(0, MOST_LEGS);
  const wish = { of: { pairIds }, name: `reins of ${horseId}`, key: '' };
  const reins = await sumsOf(db, yard.id, clock, wish, () => reinReview(passes).measures);
  return { strides, legs, reins };
}
