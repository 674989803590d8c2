import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import type { RoanDatabase } from '../../database';
import { changedDays, keptBy, keptDays, keptSums, passes } from '../../schema';
import type { Transaction, WriteQueue } from '../../database';

type Reader = Pick<RoanDatabase, 'select'>;

export const DAY_MS = 24 * 60 * 60 * 1000;

/** A day of a pair that changed: the how manieth change it is, and days since 1970 in UTC. */
export type ChangedDay = { no: number; pairId: string; day: number };

/** A day as it is to be kept; with nothing in it where nothing was ridden on it any more. */
export type DayToKeep = { pairId: string; day: string; document: string };

/** Whether the days of a yard were kept by this Roan with this clock. */
export async function isKeptBy(db: Reader, yardId: string, made: string): Promise<boolean> {
  const [row] = await db.select().from(keptBy).where(eq(keptBy.yardId, yardId));
  return row?.madeBy === made;
}

/** Throws away what was kept of a yard: every day that something was ridden on has changed. */
export async function keepAnew(tx: Transaction, yardId: string, made: string): Promise<void> {
  if (await isKeptBy(tx, yardId, made)) return;
  await tx.delete(keptDays).where(eq(keptDays.yardId, yardId));
  await tx.delete(keptSums).where(eq(keptSums.yardId, yardId));
  await tx.delete(changedDays).where(eq(changedDays.yardId, yardId));
  await tx.run(
    sql`insert into changed_days (yard_id, pair_id, day)
      select distinct yard_id, pair_id, ridden_at / ${sql.raw(String(DAY_MS))} from ${passes} where yard_id = ${yardId}`,
  );
  await tx
    .insert(keptBy)
    .values({ yardId, madeBy: made })
    .onConflictDoUpdate({ target: keptBy.yardId, set: { madeBy: made } });
}

/** The days of some pairs that changed since what they say was kept. */
export async function changedDaysOf(db: Reader, yardId: string, pairIds: readonly string[]): Promise<ChangedDay[]> {
  const { no, pairId, day } = changedDays;
  return db
    .select({ no, pairId, day })
    .from(changedDays)
    .where(and(eq(changedDays.yardId, yardId), inArray(changedDays.pairId, [...pairIds])))
    .orderBy(asc(pairId), asc(day));
}

/**
 * Keeps days that were read since they changed. One that changed again meanwhile, or that another Roan has kept by now, is left to
 * whoever reads next.
 * @param changes - what was known to have changed before any of it was read
 */
export async function keepDays(
  write: WriteQueue,
  yardId: string,
  changes: readonly ChangedDay[],
  days: readonly DayToKeep[],
): Promise<void> {
  const seen = inArray(
    changedDays.no,
    changes.map(({ no }) => no),
  );
  await write(async tx => {
    const still = await tx.select({ no: changedDays.no }).from(changedDays).where(seen);
    // Somebody else was there first: what was read here may be older than that.
    if (still.length < changes.length) return;
    await tx.delete(changedDays).where(seen);
    for (const { pairId, day, document } of days) {
      await tx
        .delete(keptDays)
        .where(and(eq(keptDays.yardId, yardId), eq(keptDays.pairId, pairId), eq(keptDays.day, day)));
      // What others hold in memory has to hear that it is gone: a row stays, with nothing in it.
      await tx.insert(keptDays).values({ yardId, pairId, day, document });
    }
  });
}
