import { UNTOLD_QUESTION, type PassMark, type PassRecord, type Question } from '@/core';
import { MarkOnPaper } from '@/files/recordEvent';
import { and, asc, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { marks, passes } from '../schema';
import { questionsById } from './questions';

/** The passes of a pair that were not taken back, oldest first; of one layout version if it is named. */
export async function listPasses(
  db: RoanDatabase,
  yardId: string,
  pairId: string,
  layoutVersionId?: string,
): Promise<PassRecord[]> {
  const rows = await livePasses(
    db,
    and(
      eq(passes.yardId, yardId),
      eq(passes.pairId, pairId),
      layoutVersionId === undefined ? undefined : eq(passes.layoutVersionId, layoutVersionId),
    ),
  );
  return passesWithMarks(db, rows);
}

/** The passes of a lesson that were not taken back, oldest first. */
export async function passesOfLesson(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  lessonId: string,
): Promise<PassRecord[]> {
  return passesWithMarks(db, await livePasses(db, and(eq(passes.yardId, yardId), eq(passes.lessonId, lessonId))));
}

function livePasses(db: Pick<RoanDatabase, 'select'>, which: SQL | undefined) {
  return db
    .select()
    .from(passes)
    .where(and(which, isNull(passes.undoneAt)))
    .orderBy(asc(passes.riddenAt), sql`rowid`);
}

/** Passes with what was marked in them, in the order of the rows. */
export async function passesWithMarks(
  db: Pick<RoanDatabase, 'select'>,
  rows: (typeof passes.$inferSelect)[],
): Promise<PassRecord[]> {
  const marksOf = await liveMarks(
    db,
    rows.map(({ id }) => id),
  );
  const questions = await questionsOf(db, rows);
  return rows.map(row => {
    const { id, pairId, layoutVersionId, lessonId, stageId, rein, direction, stage, riddenAt } = row;
    return {
      ...{ id, pairId, layoutVersionId, lessonId, stageId, rein, direction, stage },
      question: questions.get(row.questionId ?? '') ?? UNTOLD_QUESTION,
      riddenAtMs: riddenAt.getTime(),
      marks: marksOf.get(id) ?? [],
    };
  });
}

/** What was asked in some passes, by the ids of the rows. */
function questionsOf(db: Pick<RoanDatabase, 'select'>, rows: readonly (typeof passes.$inferSelect)[]) {
  const ids = rows.flatMap(({ questionId }) => questionId ?? []);
  return rows[0] ? questionsById(db, rows[0].yardId, ids) : Promise.resolve(new Map<string, Question>());
}

/** A statement takes a limited number of values. */
const MOST_IDS = 5000;

async function liveMarks(db: Pick<RoanDatabase, 'select'>, passIds: string[]): Promise<Map<string, PassMark[]>> {
  const rows: (typeof marks.$inferSelect)[] = [];
  for (let first = 0; first < passIds.length; first += MOST_IDS)
    rows.push(
      ...(await db
        .select()
        .from(marks)
        .where(and(inArray(marks.passId, passIds.slice(first, first + MOST_IDS)), isNull(marks.undoneAt)))
        .orderBy(asc(marks.markedAt), sql`rowid`)),
    );
  return collect(rows);
}

function collect(rows: (typeof marks.$inferSelect)[]): Map<string, PassMark[]> {
  const byPass = new Map<string, PassMark[]>();
  for (const row of rows) {
    const list = byPass.get(row.passId) ?? [];
    list.push(asMark(row));
    byPass.set(row.passId, list);
  }
  return byPass;
}

/** A mark that this Roan cannot read, from a newer one, is told as a note. */
export function asMark({ id, kind, place, fraction, words, document }: typeof marks.$inferSelect): PassMark {
  switch (kind) {
    case 'footfall':
      return { id, kind, place, fraction: fraction ?? 0.5 };
    case 'hit':
      return { id, kind, place: place ?? 1 };
    case 'note':
      return { id, kind, words: words ?? '' };
    default: {
      const read = MarkOnPaper.safeParse({ id, kind, ...(document as object) });
      return read.success ? read.data : { id, kind: 'note', words: kind };
    }
  }
}

/** Whose a pass is, and what was asked over which layout; null where there is none. */
export async function passPlace(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  passId: string,
): Promise<{ pairId: string; layoutVersionId: string; question: Question | null } | null> {
  const [pass] = await db
    .select({ pairId: passes.pairId, layoutVersionId: passes.layoutVersionId, questionId: passes.questionId })
    .from(passes)
    .where(and(eq(passes.yardId, yardId), eq(passes.id, passId)));
  if (!pass) return null;
  const { pairId, layoutVersionId, questionId } = pass;
  const questions = await questionsById(db, yardId, questionId === null ? [] : [questionId]);
  return { pairId, layoutVersionId, question: questions.get(questionId ?? '') ?? null };
}
