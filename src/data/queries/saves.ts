import { and, eq, lt } from 'drizzle-orm';
import { saves } from '../schema';
import type { Transaction } from '../database';

/** So long an answer can be asked for again: longer than a phone lies in a drawer. */
const KEPT_MS = 60 * 24 * 3600 * 1000;

/**
 * Does something once, however often it is sent: what it answered is kept with it, in the same transaction, and is the answer from then
 * on.
 * @param saveId - names the save; undefined from a page of before an update, which does it each time
 */
export async function once<Answer>(
  tx: Transaction,
  yardId: string,
  saveId: string | undefined,
  act: () => Promise<Answer>,
): Promise<Answer> {
  if (saveId === undefined) return act();
  const [before] = await tx
    .select({ answer: saves.answer })
    .from(saves)
    .where(and(eq(saves.yardId, yardId), eq(saves.id, saveId)));
  if (before) return (before.answer as { said: Answer }).said;
  const said = await act();
  const nowMs = Date.now();
  if (isDue(yardId, nowMs))
    await tx.delete(saves).where(and(eq(saves.yardId, yardId), lt(saves.savedAt, new Date(nowMs - KEPT_MS))));
  await tx.insert(saves).values({ id: saveId, yardId, answer: { said }, savedAt: new Date(nowMs) });
  return said;
}

/** When the answers of a yard that nobody asks for any more were last thrown away: once an hour is enough. */
const thrownAway = new Map<string, number>();
const HOUR_MS = 3600 * 1000;

function isDue(yardId: string, nowMs: number): boolean {
  if (nowMs - (thrownAway.get(yardId) ?? 0) < HOUR_MS) return false;
  thrownAway.set(yardId, nowMs);
  return true;
}

/** Whether a save was made already. */
export async function isSaved(db: Pick<Transaction, 'select'>, yardId: string, saveId: string): Promise<boolean> {
  const rows = await db
    .select({ id: saves.id })
    .from(saves)
    .where(and(eq(saves.yardId, yardId), eq(saves.id, saveId)));
  return rows.length > 0;
}
