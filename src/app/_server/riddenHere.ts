import 'server-only';
import { riddenLegs } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { listPairs } from '@/data/queries/pairs';
import { dayPasses } from '@/data/queries/dayPasses';
import type { RiddenLegOfHorse } from '../plan/[layoutId]/_components/reading/LegCountsHere';
import { yardClock } from './yardTime';

/** What was counted in the legs of a layout, however it was set, horse by horse. */
export async function riddenHere(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  layoutId: string,
): Promise<RiddenLegOfHorse[]> {
  const [passes, pairs] = await Promise.all([
    dayPasses(db, yard.id, { layoutId }, yardClock(yard.timeZone)),
    listPairs(db, yard.id),
  ]);
  const horseOf = new Map(pairs.map(({ id, horseName }) => [id, horseName]));
  return riddenLegs(passes).map(({ pairId, ...leg }) => ({ ...leg, horse: horseOf.get(pairId) ?? '' }));
}
