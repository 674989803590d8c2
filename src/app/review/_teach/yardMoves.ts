import 'server-only';
import { yardClock } from '@/app/_server/yardTime';
import { grouped, teachingMoves, type Moves } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { listHorses } from '@/data/queries/horses';
import { listPairs } from '@/data/queries/pairs';
import { planHorse } from '@/data/queries/planGround';
import { dayPasses } from '@/data/queries/dayPasses';
import { riddenOver } from '@/data/queries/riddenOver';

type Yard = { id: string; timeZone: string };

/** What went along with which exercise for a pair, and for pairs of horses like its own. */
export async function yardMoves(db: RoanDatabase, yard: Yard, pairId: string): Promise<Moves> {
  const passes = await dayPasses(db, yard.id, 'all', yardClock(yard.timeZone));
  const [pairs, horses] = await Promise.all([listPairs(db, yard.id), listHorses(db, yard.id)]);
  const over = await riddenOver(
    db,
    yard.id,
    passes.map(({ layoutVersionId }) => layoutVersionId),
  );
  const byPair = grouped(passes, pass => pass.pairId);
  const taught = pairs.map(({ id, horseId }) => ({
    id,
    horse: planHorse(horses.find(horse => horse.id === horseId)!),
    passes: byPair.get(id) ?? [],
  }));
  return teachingMoves(taught, pairId, over);
}
