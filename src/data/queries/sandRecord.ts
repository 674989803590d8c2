import { dayNames, daysOf, sandMap, spotsOf, visitsOf } from '@/core';
import type { RoanDatabase } from '../openDatabase';
import { reckonedOnce } from './reckonedOnce';
import { reviewPasses, type YardClock } from './reviewPasses';

/** Where in an arena things went wrong: its places, those that stand out, and the spots that were tapped. */
export async function sandRecord(db: Pick<RoanDatabase, 'select'>, yardId: string, arenaId: string, clock: YardClock) {
  const passes = await reviewPasses(db, yardId, { arenaId }, clock);
  return reckonedOnce(passes, 'sand', () => ({
    passes: passes.length,
    days: dayNames(daysOf(passes)).length,
    places: sandMap(visitsOf(passes)),
    spots: spotsOf(passes),
  }));
}
