import { and, eq } from 'drizzle-orm';
import type { OpenDatabase } from '../database';
import { changedDays, keptDays } from '../schema';
import { isKeptBy, keepAnew } from './kept/keepDays';
import { madeBy } from './kept/madeBy';
import { pairDays } from './kept/pairDays';
import type { YardClock } from './reviewPasses';

/** Keeps what the passes of a yard say, so that the first look at them waits for nothing; pair by pair, a few days at a time. */
export async function keepChangedDays({ db, write }: OpenDatabase, yardId: string, clock: YardClock): Promise<void> {
  const made = `${madeBy()} ${clock.timeZone}`;
  if (!(await isKeptBy(db, yardId, made))) await write(tx => keepAnew(tx, yardId, made));
  const changed = await db
    .selectDistinct({ pairId: changedDays.pairId })
    .from(changedDays)
    .where(eq(changedDays.yardId, yardId));
  for (const { pairId } of changed) {
    // Only what changed is of interest: of what is kept nothing is read.
    await pairDays(
      db,
      yardId,
      clock,
      new Map([[pairId, { last: await lastKept(db, yardId, pairId), days: new Map() }]]),
    );
    await write.idle();
  }
}

async function lastKept(db: OpenDatabase['db'], yardId: string, pairId: string): Promise<number> {
  const rows = await db
    .select({ no: keptDays.no })
    .from(keptDays)
    .where(and(eq(keptDays.yardId, yardId), eq(keptDays.pairId, pairId)));
  return Math.max(0, ...rows.map(({ no }) => no));
}
