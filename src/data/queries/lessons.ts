import { randomUUID } from 'node:crypto';
import { lessonMinutes, type LessonPlan, type LessonRecord, type LessonTimes } from '@/core';
import { lessonFromPaper, LessonOnPaper } from '@/files/lessonPaper';
import { writeLesson } from '@/files/writeLesson';
import { and, asc, between, desc, eq, isNull, max, sql } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../database';
import { lessonAsks, lessons, passes, walkBreaks } from '../schema';
import type { Transaction } from '../database';
import { passesOfLesson } from './passes';
import { questionsById } from './questions';

type Reader = Pick<RoanDatabase, 'select'>;

export type Lesson = {
  id: string;
  name: string;
  arenaId: string;
  startsAtMs: number;
  archived: boolean;
  /** When its cautions were read, and with it the lesson begun. */
  acknowledgedAtMs: number | null;
  endedAtMs: number | null;
  /** When it was opened again last. */
  reopenedAtMs: number | null;
  /** Of its plan: another one after every change. */
  revision: number;
  plan: LessonPlan;
};

/** Every lesson of a yard, the latest first, put-away ones among them. */
export async function listLessons(db: Reader, yardId: string): Promise<Lesson[]> {
  const rows = await db
    .select()
    .from(lessons)
    .where(eq(lessons.yardId, yardId))
    .orderBy(desc(lessons.startsAt), lessons.id);
  return rows.map(lessonOf);
}

/** The lessons that begin between two instants, the earliest first; without those that are archived. */
export async function lessonsBetween(db: Reader, yardId: string, fromMs: number, untilMs: number): Promise<Lesson[]> {
  const rows = await db
    .select()
    .from(lessons)
    .where(
      and(
        ...[eq(lessons.yardId, yardId), isNull(lessons.archivedAt)],
        between(lessons.startsAt, new Date(fromMs), new Date(untilMs)),
      ),
    )
    .orderBy(asc(lessons.startsAt), lessons.id);
  return rows.map(lessonOf);
}

/** The ids of all stages of lessons at which the rider was watched. */
export async function riderStageIds(db: Reader, yardId: string): Promise<Set<string>> {
  const rows = await db
    .select()
    .from(lessons)
    .where(and(eq(lessons.yardId, yardId), sql`${lessons.document} like '%"riderMarks":%'`));
  return new Set(
    rows.flatMap(row => lessonOf(row).plan.stages.flatMap(({ id, riderMarks }) => (riderMarks ? [id] : []))),
  );
}

export async function findLesson(db: Reader, yardId: string, lessonId: string): Promise<Lesson | null> {
  const [row] = await db
    .select()
    .from(lessons)
    .where(and(eq(lessons.yardId, yardId), eq(lessons.id, lessonId)));
  return row ? lessonOf(row) : null;
}

/** A lesson as its row holds it. */
export function lessonOf(row: typeof lessons.$inferSelect): Lesson {
  const read = LessonOnPaper.safeParse(row.document);
  if (!read.success) throw new DatabaseRefused(`The plan of the lesson “${row.name}” cannot be read.`);
  return {
    ...{ id: row.id, name: row.name, arenaId: row.arenaId, startsAtMs: row.startsAt.getTime() },
    archived: row.archivedAt !== null,
    acknowledgedAtMs: row.acknowledgedAt?.getTime() ?? null,
    endedAtMs: row.endedAt?.getTime() ?? null,
    reopenedAtMs: row.reopenedAt?.getTime() ?? null,
    revision: row.revision,
    plan: lessonFromPaper(read.data),
  };
}

export type LessonDetails = { id?: string; name: string; arenaId: string; startsAtMs: number; plan: LessonPlan };

/**
 * Adds a lesson, or changes the one named by its id. Its record stays as it is.
 * @param newId - what a new one is called, where its device has named it
 */
export async function saveLesson(
  tx: Transaction,
  yardId: string,
  lesson: LessonDetails,
  newId: string = randomUUID(),
): Promise<string> {
  const { id = newId, name, arenaId, startsAtMs, plan } = lesson;
  const values = { name, arenaId, startsAt: new Date(startsAtMs), document: writeLesson(plan) };
  if (lesson.id === undefined) await tx.insert(lessons).values({ id, yardId, ...values });
  else
    await tx
      .update(lessons)
      .set({ ...values, revision: sql`${lessons.revision} + 1` })
      .where(and(eq(lessons.yardId, yardId), eq(lessons.id, id)));
  return id;
}

/** When things happened in a lesson, as its state is told by. */
export async function lessonTimes(db: Reader, yardId: string, lesson: Lesson): Promise<LessonTimes> {
  return (await timesOfLessons(db, yardId, [lesson])).get(lesson.id)!;
}

/** When things happened in lessons, by their ids. */
export async function timesOfLessons(
  db: Reader,
  yardId: string,
  known: readonly Lesson[],
): Promise<Map<string, LessonTimes>> {
  const rows = await db
    .select({ lessonId: passes.lessonId, last: max(passes.riddenAt) })
    .from(passes)
    .where(
      and(
        ...[eq(passes.yardId, yardId), isNull(passes.undoneAt)],
        known.length === 1 ? eq(passes.lessonId, known[0]!.id) : undefined,
      ),
    )
    .groupBy(passes.lessonId);
  const lastOf = new Map(rows.map(({ lessonId, last }) => [lessonId, last?.getTime() ?? null]));
  return new Map(
    known.map(({ id, startsAtMs, archived, acknowledgedAtMs, endedAtMs, reopenedAtMs, plan }) => [
      id,
      {
        ...{ startsAtMs, archived, acknowledgedAtMs, endedAtMs, reopenedAtMs, plannedMin: lessonMinutes(plan) },
        lastRiddenAtMs: lastOf.get(id) ?? null,
      },
    ]),
  );
}

/** All that was recorded in a lesson so far. */
export async function lessonRecord(db: Reader, yardId: string, lesson: Lesson): Promise<LessonRecord> {
  const walked = await db
    .select()
    .from(walkBreaks)
    .where(and(eq(walkBreaks.yardId, yardId), eq(walkBreaks.lessonId, lesson.id), isNull(walkBreaks.undoneAt)))
    .orderBy(asc(walkBreaks.walkedAt), sql`rowid`);
  const asked = await db
    .select()
    .from(lessonAsks)
    .where(and(eq(lessonAsks.yardId, yardId), eq(lessonAsks.lessonId, lesson.id), isNull(lessonAsks.undoneAt)))
    .orderBy(asc(lessonAsks.askedAt), sql`rowid`);
  const questions = await questionsById(
    db,
    yardId,
    asked.map(({ questionId }) => questionId),
  );
  return {
    passes: await passesOfLesson(db, yardId, lesson.id),
    breaks: walked.map(({ id, pairId, stageId, walkedAt }) => ({ id, pairId, stageId, atMs: walkedAt.getTime() })),
    asks: asked.map(({ id, stageId, pairId, questionId, askedAt }) => ({
      ...{ id, stageId, pairId, question: questions.get(questionId)!, atMs: askedAt.getTime() },
    })),
    acknowledgedAtMs: lesson.acknowledgedAtMs,
  };
}
