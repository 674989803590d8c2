import { and, eq } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../database';
import { riderWords } from '../schema';
import type { Transaction } from '../database';

/** What was said to a rider, and which time it was changed: 0 where nothing was said yet. */
export type RiderWords = { words: string; revision: number };

/** What the instructor said to the riders of a lesson, by pair. */
export async function wordsOfLesson(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  lessonId: string,
): Promise<Map<string, RiderWords>> {
  const rows = await db
    .select()
    .from(riderWords)
    .where(and(eq(riderWords.yardId, yardId), eq(riderWords.lessonId, lessonId)));
  return new Map(rows.map(({ pairId, words, revision }) => [pairId, { words, revision }]));
}

type Said = { lessonId: string; pairId: string; words: string; revision: number; nowMs: number };

/**
 * Keeps what is said to a rider; returns its new revision.
 * @param said - `revision`: of what it was written over
 * @throws {DatabaseRefused} where somebody else wrote something meanwhile: it is told, and stays
 */
export async function keepWords(tx: Transaction, yardId: string, said: Said): Promise<number> {
  const { lessonId, pairId, words, nowMs } = said;
  const before = (await wordsOfLesson(tx, yardId, lessonId)).get(pairId) ?? { words: '', revision: 0 };
  if (before.words === words) return before.revision;
  if (before.revision !== said.revision)
    throw new DatabaseRefused(
      `Somebody else wrote meanwhile: “${before.words}”. Put both together, and keep it again.`,
    );
  const row = { words, revision: before.revision + 1, updatedAt: new Date(nowMs) };
  await tx
    .insert(riderWords)
    .values({ yardId, lessonId, pairId, ...row })
    .onConflictDoUpdate({ target: [riderWords.lessonId, riderWords.pairId], set: row });
  return row.revision;
}
