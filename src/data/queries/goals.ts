import { randomUUID } from 'node:crypto';
import type { Goal } from '@/core';
import { goalFromPaper, GoalOnPaper } from '@/files/goalPaper';
import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../database';
import { goals } from '../schema';
import type { Transaction } from '../database';

type Reader = Pick<RoanDatabase, 'select'>;

/** A pair works on a few things at a time (common practice, no source). */
export const MOST_GOALS = 6;

/** The goals of some pairs that were not taken away, the oldest first; of all pairs where none is named. */
export async function listGoals(db: Reader, yardId: string, pairIds?: readonly string[]): Promise<Goal[]> {
  const rows = await db
    .select()
    .from(goals)
    .where(
      and(
        ...[eq(goals.yardId, yardId), isNull(goals.archivedAt)],
        pairIds === undefined ? undefined : inArray(goals.pairId, [...pairIds]),
      ),
    )
    .orderBy(asc(goals.createdAt), sql`rowid`);
  return rows.map(goalOf);
}

export function goalOf(row: typeof goals.$inferSelect): Goal {
  const read = GoalOnPaper.safeParse(row.document);
  if (!read.success) throw new DatabaseRefused('A goal cannot be read.');
  return goalFromPaper(read.data, row);
}

/**
 * Adds a goal to a pair, or changes one.
 * @throws {DatabaseRefused} where the pair has enough of them, or the goal is gone
 */
export async function saveGoal(
  tx: Transaction,
  yardId: string,
  { id, pairId, goal, today }: { id: string | null; pairId: string; goal: GoalOnPaper; today: string },
): Promise<string> {
  const own = await listGoals(tx, yardId, [pairId]);
  if (id !== null) {
    if (!own.some(one => one.id === id)) throw new DatabaseRefused('This goal is not there any more.');
    await tx
      .update(goals)
      .set({ document: goal })
      .where(and(eq(goals.yardId, yardId), eq(goals.id, id)));
    return id;
  }
  if (own.filter(({ reachedDay }) => reachedDay === null).length >= MOST_GOALS)
    throw new DatabaseRefused(`A pair works on ${MOST_GOALS} goals at most: reach one, or take one away.`);
  const newId = randomUUID();
  await tx.insert(goals).values({ id: newId, yardId, pairId, document: goal, sinceDay: today });
  return newId;
}

/** What becomes of a goal: reached on a day, open again, taken away, or brought back. */
export type GoalChange = { reachedDay: string | null } | { archivedAtMs: number | null };

export async function changeGoal(tx: Transaction, yardId: string, id: string, change: GoalChange): Promise<void> {
  const set =
    'reachedDay' in change
      ? { reachedDay: change.reachedDay }
      : { archivedAt: change.archivedAtMs === null ? null : new Date(change.archivedAtMs) };
  const changed = await tx
    .update(goals)
    .set(set)
    .where(and(eq(goals.yardId, yardId), eq(goals.id, id)))
    .returning({ id: goals.id });
  if (changed.length === 0) throw new DatabaseRefused('This goal is not there any more.');
}
