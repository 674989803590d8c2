import 'server-only';
import { reinReview, type ReinReview, type StrideReview } from '@/core';
import type { RoanDatabase } from '@/data/openDatabase';
import { listPairs } from '@/data/queries/pairs';
import { reviewPasses } from '@/data/queries/reviewPasses';
import { reckonedOnce } from '@/data/queries/reckonedOnce';
import { yardStrides } from '../../../_server/yardStrides';
import { yardClock } from '../../../_server/yardTime';

/** What the record says of a horse, whoever rode it: its strides, and left against right. */
export async function riddenByRecord(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  horseId: string,
): Promise<{ strides: StrideReview[]; reins: ReinReview['measures'] }> {
  const pairIds = (await listPairs(db, yard.id)).filter(pair => pair.horseId === horseId).map(({ id }) => id);
  const passes = await reviewPasses(db, yard.id, { pairIds }, yardClock(yard.timeZone));
  const strides = (await yardStrides(db, yard)).find(({ horse }) => horse.id === horseId)?.reviews ?? [];
  return { strides, reins: reckonedOnce(passes, 'reins of a horse', () => reinReview(passes).measures) };
}
