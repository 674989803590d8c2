import {
  ridesNow,
  UNTOLD_QUESTION,
  type Join,
  type LoggedAsk,
  type LoggedBreak,
  type LoggedPass,
  type RecordChange,
  type RecordLog,
} from '@/core';
import { and, asc, eq, gt, inArray, sql, type SQL, type Table } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import {
  horses,
  lessonAsks,
  lessonJoins,
  lessons,
  marks,
  pairs,
  passes,
  people,
  recordChanges,
  walkBreaks,
} from '../schema';
import { asMark } from './passes';
import { questionsById } from './questions';
import { changeOf } from './recordChanges';

type Reader = Pick<RoanDatabase, 'select'>;

/** What was recorded in a lesson, or what changed of it since an earlier answer; `number` rises from answer to answer. */
export type NumberedLog = { number: number; log: RecordLog; afresh: boolean };

/**
 * All that was ever said in a lesson, taken back or not; null where there is no such lesson.
 * @param known - the number of an answer that is known already: only what changed since then comes, unless that is a number
 *   that this record never had, as after a backup was restored: then all of it comes, `afresh`
 */
export async function lessonLog(db: Reader, yardId: string, lessonId: string, known = -1): Promise<NumberedLog | null> {
  const [row] = await db
    .select({ lesson: lessons, ...whichSince(known) })
    .from(lessons)
    .where(and(eq(lessons.yardId, yardId), eq(lessons.id, lessonId)));
  if (!row) return null;
  const { lesson } = row;
  const state = {
    acknowledgedAtMs: lesson.acknowledgedAt?.getTime() ?? null,
    endedAtMs: lesson.endedAt?.getTime() ?? null,
    reopenedAtMs: lesson.reopenedAt?.getTime() ?? null,
  };
  const number = lesson.recordNumber;
  const afresh = known < 0 || known > number;
  const after = afresh ? -1 : known;
  const nothing = { passes: [], breaks: [], asks: [], joins: [], rides: {}, changes: [] };
  if (after >= number) return { number, afresh, log: { ...nothing, ...state } };
  const where = [db, yardId, lessonId, after] as const;
  const [logged, breaks, asks, joins, changes] = await Promise.all([
    afresh || row.passes ? passesOf(...where) : [],
    afresh || row.breaks ? breaksOf(...where) : [],
    afresh || row.asks ? asksOf(...where) : [],
    afresh || row.joins ? joinsOf(...where) : [],
    afresh || row.changes ? changesOf(...where) : [],
  ]);
  const rides = ridesNow(joins, changes);
  return { number, afresh, log: { ...state, joins, changes, rides, passes: logged, breaks, asks } };
}

/** Of which kinds a lesson has anything that came after an answer: most taps bring one kind, and the others are not read. */
function whichSince(known: number) {
  // By their names in the store: of a select from one table the columns are written without it.
  const has = (table: Table) =>
    sql<number>`exists (select 1 from ${table} as own where own.yard_id = lessons.yard_id and own.lesson_id = lessons.id and own.record_number > ${known})`;
  return {
    ...{ passes: has(passes), breaks: has(walkBreaks), asks: has(lessonAsks), joins: has(lessonJoins) },
    changes: has(recordChanges),
  };
}

async function passesOf(db: Reader, yardId: string, lessonId: string, after: number): Promise<LoggedPass[]> {
  const rows = await db
    .select()
    .from(passes)
    .where(and(eq(passes.yardId, yardId), eq(passes.lessonId, lessonId), gt(passes.recordNumber, after)))
    .orderBy(asc(passes.riddenAt), sql`rowid`);
  return loggedPasses(db, yardId, rows);
}

async function changesOf(db: Reader, yardId: string, lessonId: string, after: number): Promise<RecordChange[]> {
  const ofLesson = and(eq(recordChanges.yardId, yardId), eq(recordChanges.lessonId, lessonId));
  return changesWhere(db, and(ofLesson, gt(recordChanges.recordNumber, after)));
}

/** All that was ever said of the passes of a pair over a layout version that it rode by itself, outside of a lesson. */
export async function rideLog(
  db: Reader,
  yardId: string,
  pairId: string,
  versionId: string,
): Promise<Pick<RecordLog, 'passes' | 'changes'>> {
  const rows = await db
    .select()
    .from(passes)
    .where(and(...[eq(passes.yardId, yardId), eq(passes.pairId, pairId), eq(passes.layoutVersionId, versionId)]))
    .orderBy(asc(passes.riddenAt), sql`rowid`);
  const logged = await loggedPasses(db, yardId, rows);
  const ids = logged.flatMap(({ pass, marks: own }) => [pass.id, ...own.map(({ mark }) => mark.id)]);
  const changes: RecordChange[] = [];
  for (let first = 0; first < ids.length; first += MOST_IDS) {
    const some = ids.slice(first, first + MOST_IDS);
    changes.push(
      ...(await changesWhere(db, and(eq(recordChanges.yardId, yardId), inArray(recordChanges.subjectId, some)))),
    );
  }
  return { passes: logged, changes };
}

/** A statement takes a limited number of values. */
const MOST_IDS = 5000;

async function changesWhere(db: Reader, which: SQL | undefined): Promise<RecordChange[]> {
  const rows = await db
    .select()
    .from(recordChanges)
    .where(which)
    .orderBy(asc(sql`rowid`));
  return rows.map(changeOf);
}

/** Passes as they were logged, with all of their marks. */
async function loggedPasses(db: Reader, yardId: string, rows: (typeof passes.$inferSelect)[]): Promise<LoggedPass[]> {
  const questions = await questionsById(
    db,
    yardId,
    rows.flatMap(({ questionId }) => questionId ?? []),
  );
  const marksOf = await marksByPass(
    db,
    rows.map(({ id }) => id),
  );
  return rows.map(row => {
    const { id, pairId, layoutVersionId, lessonId, stageId, stage, rein, direction, riddenAt } = row;
    return {
      pass: {
        ...{ id, pairId, layoutVersionId, lessonId, stageId, stage, rein, direction, riddenAtMs: riddenAt.getTime() },
        question: questions.get(row.questionId ?? '') ?? UNTOLD_QUESTION,
      },
      ...{ saidAtMs: (row.saidAt ?? riddenAt).getTime(), by: row.saidBy, counts: row.undoneAt === null },
      marks: marksOf.get(id) ?? [],
    };
  });
}

async function marksByPass(
  db: Reader,
  passIds: readonly string[],
): Promise<Map<string, LoggedPass['marks'][number][]>> {
  const byPass = new Map<string, LoggedPass['marks'][number][]>();
  for (let first = 0; first < passIds.length; first += MOST_IDS) {
    const rows = await db
      .select()
      .from(marks)
      .where(inArray(marks.passId, passIds.slice(first, first + MOST_IDS)))
      .orderBy(asc(marks.markedAt), sql`rowid`);
    for (const row of rows) {
      const logged = {
        ...{ mark: asMark(row), saidAtMs: row.markedAt.getTime(), by: row.saidBy },
        counts: row.undoneAt === null,
      };
      byPass.set(row.passId, [...(byPass.get(row.passId) ?? []), logged]);
    }
  }
  return byPass;
}

async function breaksOf(db: Reader, yardId: string, lessonId: string, after: number): Promise<LoggedBreak[]> {
  const rows = await db
    .select()
    .from(walkBreaks)
    .where(and(eq(walkBreaks.yardId, yardId), eq(walkBreaks.lessonId, lessonId), gt(walkBreaks.recordNumber, after)))
    .orderBy(asc(walkBreaks.walkedAt), sql`rowid`);
  return rows.map(({ id, pairId, stageId, walkedAt, saidBy, undoneAt }) => ({
    walked: { id, pairId, stageId, atMs: walkedAt.getTime() },
    ...{ saidAtMs: walkedAt.getTime(), by: saidBy, counts: undoneAt === null },
  }));
}

async function asksOf(db: Reader, yardId: string, lessonId: string, after: number): Promise<LoggedAsk[]> {
  const rows = await db
    .select()
    .from(lessonAsks)
    .where(and(eq(lessonAsks.yardId, yardId), eq(lessonAsks.lessonId, lessonId), gt(lessonAsks.recordNumber, after)))
    .orderBy(asc(lessonAsks.askedAt), sql`rowid`);
  const questions = await questionsById(
    db,
    yardId,
    rows.map(({ questionId }) => questionId),
  );
  return rows.map(({ id, stageId, pairId, questionId, askedAt, saidBy, undoneAt }) => ({
    ask: { id, stageId, pairId, question: questions.get(questionId)!, atMs: askedAt.getTime() },
    ...{ saidAtMs: askedAt.getTime(), by: saidBy, counts: undoneAt === null },
  }));
}

async function joinsOf(db: Reader, yardId: string, lessonId: string, after: number): Promise<Join[]> {
  const rows = await db
    .select({ join: lessonJoins, horse: horses, rider: people })
    .from(lessonJoins)
    .innerJoin(pairs, eq(pairs.id, lessonJoins.pairId))
    .innerJoin(horses, eq(horses.id, pairs.horseId))
    .innerJoin(people, eq(people.id, pairs.riderId))
    .where(and(eq(lessonJoins.yardId, yardId), eq(lessonJoins.lessonId, lessonId), gt(lessonJoins.recordNumber, after)))
    .orderBy(asc(lessonJoins.joinedAt), sql`${lessonJoins}.rowid`);
  return rows.map(({ join: { id, pairId, insteadOf, joinedAt, saidBy }, horse, rider }) => ({
    ...{ id, pairId, insteadOf, atMs: joinedAt.getTime(), by: saidBy },
    horse: { id: horse.id, name: horse.name, heightM: horse.heightM },
    rider: { id: rider.id, name: rider.name },
  }));
}
