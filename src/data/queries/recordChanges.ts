import { changedThing, ridesNow, standingChange, type PassMark, type RecordChange } from '@/core';
import { lessonFromPaper, LessonOnPaper } from '@/files/lessonPaper';
import { writeLesson } from '@/files/writeLesson';
import { ChangeOnPaper } from '@/files/recordEvent';
import { and, asc, eq, sql } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../database';
import { lessonAsks, lessonJoins, lessons, marks, passes, recordChanges, walkBreaks } from '../schema';
import type { Transaction } from '../database';
import { markRow } from './markRow';
import { keepQuestion } from './questions';
import {
  knownPair,
  passRow,
  RecordRefused,
  refuseFuture,
  refuseOtherLayout,
  refuseWrongPlace,
  touchPass,
  type Recording,
} from './recording';

type Reader = Pick<RoanDatabase, 'select'>;

/** A change as its row holds it. */
export function changeOf(row: typeof recordChanges.$inferSelect): RecordChange {
  const { id, subject: on, subjectId: of, what, madeOver: from, was, becomes: to, undoes, saidAt, saidBy: by } = row;
  const read = ChangeOnPaper.safeParse({ id, on, of, what, from, was, to, undoes, atMs: saidAt.getTime(), by });
  if (!read.success) throw new DatabaseRefused('A change of the record cannot be read.');
  return read.data;
}

async function changesOf(db: Reader, yardId: string, change: Pick<RecordChange, 'on' | 'of' | 'what'>) {
  const rows = await db
    .select()
    .from(recordChanges)
    .where(
      and(
        ...[eq(recordChanges.yardId, yardId), eq(recordChanges.subjectId, change.of)],
        ...[eq(recordChanges.subject, change.on), eq(recordChanges.what, change.what)],
      ),
    )
    .orderBy(asc(sql`rowid`));
  return rows.map(changeOf).filter(one => changedThing(one) === changedThing(change));
}

/**
 * Keeps a change, and lets its thing be what the change that stands says. One that is there already changes nothing.
 * @throws {RecordRefused} where its thing is not there, or cannot be what it says
 */
export async function keepChange(recording: Recording, lessonId: string | null, sent: RecordChange): Promise<void> {
  const { tx, yardId, at, numberOf } = recording;
  const lesson = await lessonOfThing(recording, lessonId, sent);
  const change = await checked(recording, sent);
  const { id, on, of, what, from, was, to, undoes, by: saidBy } = change;
  const done = await tx
    .insert(recordChanges)
    .values({
      ...{ id, yardId, lessonId: lesson, subject: on, subjectId: of, what, madeOver: [...from], undoes, saidBy },
      ...{ was, becomes: to, saidAt: at(change.atMs), recordNumber: await numberOf(lesson) },
    })
    .onConflictDoNothing();
  if (done.rowsAffected === 0) return;
  if (on === 'pair' && lesson !== null) return pairsRiding(recording, lesson);
  await letStand(recording, standingChange(await changesOf(tx, yardId, change))!);
}

/** The lesson that a change belongs to, by its thing. */
async function lessonOfThing(
  recording: Recording,
  lessonId: string | null,
  { on, of }: RecordChange,
): Promise<string | null> {
  const { tx, yardId } = recording;
  if (on === 'pair') return lessonId;
  if (on === 'lesson') return of;
  if (on === 'pass') return (await requirePass(recording, of)).lessonId;
  if (on === 'mark') {
    const [mark] = await tx
      .select({ passId: marks.passId })
      .from(marks)
      .where(and(eq(marks.yardId, yardId), eq(marks.id, of)));
    if (!mark) throw new RecordRefused('A change speaks of a mark that was never recorded.');
    return (await requirePass(recording, mark.passId)).lessonId;
  }
  const table = on === 'break' ? walkBreaks : lessonAsks;
  const [row] = await tx
    .select({ lessonId: table.lessonId })
    .from(table)
    .where(and(eq(table.yardId, yardId), eq(table.id, of)));
  if (!row) throw new RecordRefused('A change speaks of something that was never recorded.');
  return row.lessonId;
}

async function requirePass(recording: Recording, passId: string) {
  const pass = await passRow(recording, passId);
  if (!pass) throw new RecordRefused('A change speaks of a pass that was never recorded.');
  return pass;
}

/** A change with the ids of the yard; refused where its thing cannot be what it says. */
async function checked(recording: Recording, change: RecordChange): Promise<RecordChange> {
  const { tx, yardId, nowMs } = recording;
  if (change.on === 'pass' && change.what === 'pair') return { ...change, to: await knownPair(tx, yardId, change.to) };
  if (change.on === 'pair') return { ...change, of: await knownPair(tx, yardId, change.of) };
  if (change.what === 'time') refuseFuture(change.to, nowMs);
  if (change.on === 'pass' && change.what === 'question') {
    await refuseOtherLayout(recording, await requirePass(recording, change.of), change.to);
  }
  if (change.on === 'mark' && change.what === 'said') {
    const pass = await passOfMark(recording, change.of);
    await refuseWrongPlace(recording, pass, { id: change.of, ...change.to } as PassMark);
  }
  return change;
}

async function passOfMark(recording: Recording, markId: string) {
  const [mark] = await recording.tx.select({ passId: marks.passId }).from(marks).where(eq(marks.id, markId));
  return requirePass(recording, mark!.passId);
}

/** Lets the thing of a change be what it says. */
async function letStand(recording: Recording, change: RecordChange): Promise<void> {
  const { tx, yardId, numberOf } = recording;
  const { of } = change;
  const undone = (to: boolean) => ({ undoneAt: to ? null : new Date(change.atMs) });
  switch (change.on) {
    case 'pass':
      await tx
        .update(passes)
        .set(await passValues(tx, yardId, change))
        .where(and(eq(passes.yardId, yardId), eq(passes.id, of)));
      recording.passes.delete(of);
      return touchPass(recording, await requirePass(recording, of));
    case 'mark': {
      const { id: _, ...said } = change.what === 'said' ? markRow({ id: of, ...change.to } as PassMark) : { id: of };
      await tx
        .update(marks)
        .set(change.what === 'said' ? said : undone(change.to))
        .where(and(eq(marks.yardId, yardId), eq(marks.id, of)));
      return touchPass(recording, await passOfMark(recording, of));
    }
    case 'break':
    case 'ask': {
      const table = change.on === 'break' ? walkBreaks : lessonAsks;
      const [row] = await tx.select({ lessonId: table.lessonId }).from(table).where(eq(table.id, of));
      const values = change.what === 'counts' ? undone(change.to) : { walkedAt: new Date(change.to) };
      await tx
        .update(table)
        .set({ ...values, recordNumber: await numberOf(row!.lessonId) })
        .where(and(eq(table.yardId, yardId), eq(table.id, of)));
      return;
    }
    case 'lesson':
      if (change.what !== 'ended') return;
      await tx
        .update(lessons)
        .set(
          change.to === null ? { endedAt: null, reopenedAt: new Date(change.atMs) } : { endedAt: new Date(change.to) },
        )
        .where(and(eq(lessons.yardId, yardId), eq(lessons.id, of)));
      return;
    case 'pair':
      return;
  }
}

async function passValues(tx: Transaction, yardId: string, change: RecordChange & { on: 'pass' }) {
  switch (change.what) {
    case 'counts':
      return { undoneAt: change.to ? null : new Date(change.atMs) };
    case 'way':
      return { rein: change.to.rein, direction: change.to.direction };
    case 'pair':
      return { pairId: change.to };
    case 'stage':
      return change.to;
    case 'question':
      return { questionId: await keepQuestion(tx, yardId, change.to) };
    case 'time':
      return { riddenAt: new Date(change.to) };
  }
}

/** Lets the pairs of a lesson's plan be those that ride in it: who came is added, who left is taken out. */
export async function pairsRiding({ tx, yardId }: Recording, lessonId: string): Promise<void> {
  const rides = await ridesSaid(tx, yardId, lessonId);
  const [row] = await tx
    .select({ document: lessons.document })
    .from(lessons)
    .where(and(eq(lessons.yardId, yardId), eq(lessons.id, lessonId)));
  const read = LessonOnPaper.safeParse(row?.document);
  if (!read.success) return;
  const plan = lessonFromPaper(read.data);
  const pairIds = [
    ...plan.pairIds.filter(id => rides[id] !== false),
    ...Object.keys(rides).filter(id => rides[id] && !plan.pairIds.includes(id)),
  ];
  if (JSON.stringify(pairIds) === JSON.stringify(plan.pairIds)) return;
  await tx
    .update(lessons)
    .set({ document: writeLesson({ ...plan, pairIds }), revision: sql`${lessons.revision} + 1` })
    .where(eq(lessons.id, lessonId));
}

/** Whether pairs ride in a lesson, where that was said while it ran. */
async function ridesSaid(db: Reader, yardId: string, lessonId: string): Promise<Record<string, boolean>> {
  const joins = await db
    .select()
    .from(lessonJoins)
    .where(and(eq(lessonJoins.yardId, yardId), eq(lessonJoins.lessonId, lessonId)))
    .orderBy(asc(sql`rowid`));
  const changes = await db
    .select()
    .from(recordChanges)
    .where(
      and(
        ...[eq(recordChanges.yardId, yardId), eq(recordChanges.lessonId, lessonId), eq(recordChanges.subject, 'pair')],
      ),
    )
    .orderBy(asc(sql`rowid`));
  return ridesNow(
    joins.map(({ pairId, insteadOf, joinedAt }) => ({ pairId, insteadOf, atMs: joinedAt.getTime() })),
    changes.map(changeOf),
  );
}
