import { randomUUID } from 'node:crypto';
import { and, desc, eq, gt, isNull, sql } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { refusals } from '../schema';
import type { Transaction } from '../database';

/** A suggestion that was refused for some pairs. */
export type Refusal = { id: string; pairIds: string[]; exercise: string; stage: number; atMs: number };

/** Common practice, no source: what was refused is not suggested again for four weeks. */
const REFUSED_MS = 28 * 24 * 3600 * 1000;

/** What was refused and holds still, the latest first. */
export async function listRefusals(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  nowMs: number,
): Promise<Refusal[]> {
  const rows = await db
    .select()
    .from(refusals)
    .where(
      and(
        ...[eq(refusals.yardId, yardId), isNull(refusals.undoneAt)],
        gt(refusals.refusedAt, new Date(nowMs - REFUSED_MS)),
      ),
    )
    .orderBy(desc(refusals.refusedAt), sql`rowid`);
  return rows.map(({ id, pairIds, exercise, stage, refusedAt }) => ({
    ...{ id, pairIds, exercise, stage, atMs: refusedAt.getTime() },
  }));
}

/** Pairs in any order are the same pairs. */
export const samePairs = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && [...a].sort().join() === [...b].sort().join();

/** Refuses a suggestion for some pairs; one that is refused already stays so. */
export async function refuseSuggestion(
  tx: Transaction,
  yardId: string,
  { pairIds, exercise, stage, nowMs }: { pairIds: readonly string[]; exercise: string; stage: number; nowMs: number },
): Promise<string> {
  const before = (await listRefusals(tx, yardId, nowMs)).find(
    one => one.exercise === exercise && one.stage === stage && samePairs(one.pairIds, pairIds),
  );
  if (before) return before.id;
  const id = randomUUID();
  const refusedAt = new Date(nowMs);
  await tx.insert(refusals).values({ id, yardId, pairIds: [...pairIds].sort(), exercise, stage, refusedAt });
  return id;
}

/** Takes a refusal back: it may be suggested again. */
export async function undoRefusal(tx: Transaction, yardId: string, id: string, nowMs: number): Promise<void> {
  await tx
    .update(refusals)
    .set({ undoneAt: new Date(nowMs) })
    .where(and(eq(refusals.yardId, yardId), eq(refusals.id, id)));
}
