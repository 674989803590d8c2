import { grouped, type DayPass } from '@/core';
import { eq } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { remembered } from '../remembered';
import { pairs } from '../schema';
import { pairDays, type PairDays } from './kept/pairDays';
import { recordRevision } from './recordRevision';
import { inTime, reviewPasses, versionsOf, type ReviewWish, type YardClock } from './reviewPasses';

type Reader = Pick<RoanDatabase, 'select'>;

/** What is held in memory: as long as the record is the same it is not looked at again. The one asked for longest ago goes first. */
const knownDays = remembered<{ revision: string; days: PairDays }>(600);
const together = remembered<{ revision: string; passes: DayPass[] }>(12);

/**
 * The passes that a look at the record is made of, oldest first, without their marks: what their days say was kept. As many as there
 * may be, only days that changed are read anew.
 */
export async function dayPasses(
  db: Reader,
  yardId: string,
  wish: ReviewWish,
  clock: YardClock,
): Promise<readonly DayPass[]> {
  const key = JSON.stringify([yardId, clock.timeZone, wish]);
  const revision = await recordRevision(db, yardId);
  const before = together.recall(key);
  const passes = before?.revision === revision ? before.passes : await passesOfDays(db, yardId, wish, clock, revision);
  // What cannot be kept is not held either: it is read as reviewPasses holds it.
  if (!passes) return reviewPasses(db, yardId, wish, clock);
  together.hold(key, { revision, passes });
  return passes;
}

async function passesOfDays(
  db: Reader,
  yardId: string,
  wish: ReviewWish,
  clock: YardClock,
  revision: string,
): Promise<DayPass[] | null> {
  if (wish === 'all' || 'pairIds' in wish) {
    const pairIds = wish === 'all' ? await pairsOf(db, yardId) : wish.pairIds;
    const days = await daysOfPairs(db, yardId, clock, pairIds, revision);
    return days && inOrder(days);
  }
  const all = await dayPasses(db, yardId, 'all', clock);
  const versions = new Set((await versionsOf(db, wish)).map(({ id }) => id));
  return all.filter(({ layoutVersionId }) => versions.has(layoutVersionId));
}

async function pairsOf(db: Reader, yardId: string): Promise<string[]> {
  const rows = await db.select({ id: pairs.id }).from(pairs).where(eq(pairs.yardId, yardId));
  return rows.map(({ id }) => id);
}

/** The days of pairs as they are at a revision; null where nothing can be kept. */
async function daysOfPairs(
  db: Reader,
  yardId: string,
  clock: YardClock,
  pairIds: readonly string[],
  revision: string,
): Promise<PairDays[] | null> {
  const nameOf = (pairId: string) => `${yardId} ${clock.timeZone} ${pairId}`;
  const found = new Map<string, PairDays>();
  const older = new Map<string, PairDays | undefined>();
  for (const pairId of new Set(pairIds)) {
    const before = knownDays.recall(nameOf(pairId));
    if (before?.revision === revision) found.set(pairId, before.days);
    else older.set(pairId, before?.days);
  }
  const read = older.size > 0 ? await pairDays(db, yardId, clock, older) : new Map<string, PairDays>();
  if (!read) return null;
  for (const [pairId, days] of read) {
    found.set(pairId, days);
    knownDays.hold(nameOf(pairId), { revision, days });
  }
  return [...found.values()];
}

/** Days of several pairs as one list, oldest first. */
function inOrder(of: readonly PairDays[]): DayPass[] {
  const days = grouped(
    of.flatMap(({ days: own }) => [...own]),
    ([day]) => day,
  );
  return [...days]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([, own]) => (own.length === 1 ? [...own[0]![1]] : own.flatMap(([, passes]) => passes).sort(inTime)));
}
