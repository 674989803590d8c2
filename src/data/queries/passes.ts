import {
  askedLayout,
  assertNever,
  UNTOLD_QUESTION,
  type PassMark,
  type PassRecord,
  type Question,
  type RecordEvent,
} from '@/core';
import { MarkOnPaper, type RecordBatch } from '@/files/recordEvent';
import { and, asc, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import { trustedTime } from '../trustedTime';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../openDatabase';
import { layoutVersions, lessonAsks, lessons, marks, passes, walkBreaks } from '../schema';
import { versionQuestion } from '../upgrade/versionQuestion';
import type { Transaction } from '../writeQueue';
import { asVersion, findVersion, type LayoutVersion } from './layoutVersions';
import { markRow } from './markRow';
import { findPair } from './pairs';
import { keepQuestion, questionsById } from './questions';
import { newRecordRevision } from './recordRevision';

/** An event that can never be taken, however often it is sent. */
export class RecordRefused extends DatabaseRefused {
  override name = 'RecordRefused';
}

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
function asMark({ id, kind, place, fraction, words, document }: typeof marks.$inferSelect): PassMark {
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

export type KeptVersions = ReadonlyMap<string, LayoutVersion>;

/** The layout versions that were ridden, by id. */
export async function versionsRidden(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  versionIds: readonly string[],
): Promise<Map<string, LayoutVersion>> {
  if (versionIds.length === 0) return new Map();
  const rows = await db
    .select()
    .from(layoutVersions)
    .where(and(eq(layoutVersions.yardId, yardId), inArray(layoutVersions.id, [...new Set(versionIds)])));
  return new Map(rows.map(row => [row.id, asVersion(row)]));
}

/**
 * Writes a batch of events, in order, all or none. An event that is there already (sent again after a lost answer)
 * changes nothing, so every event counts exactly once.
 * @throws {RecordRefused} a pair, layout, lesson or pass that is not there, or a place that the layout does not have
 */
export async function recordBatch(tx: Transaction, yardId: string, batch: RecordBatch, nowMs: number): Promise<void> {
  const recording: Recording = { yardId, nowMs, placesOf: new Map() };
  for (const event of batch.events) await recordEvent(tx, recording, event);
  await newRecordRevision(tx, yardId, batch.events.flatMap(passOf));
}

/** The pass that an event is of. */
function passOf(event: RecordEvent): string[] {
  if (event.type === 'pass') return [event.pass.id];
  return 'passId' in event ? [event.passId] : [];
}

/** How many stops the track of a pass has, or how many figures. */
type Places = { stops: number; figures: number };

/** `placesOf`: of each pass that is spoken of, once looked up. */
type Recording = { yardId: string; nowMs: number; placesOf: Map<string, Places> };

async function recordEvent(tx: Transaction, recording: Recording, event: RecordEvent): Promise<void> {
  const { yardId, nowMs } = recording;
  switch (event.type) {
    case 'pass':
      return recordPass(tx, recording, event.pass);
    case 'break':
      await requireLesson(tx, yardId, event.lessonId);
      await requirePair(tx, yardId, event.pairId);
      await tx
        .insert(walkBreaks)
        .values({
          ...{ id: event.id, yardId, lessonId: event.lessonId, pairId: event.pairId },
          walkedAt: trustedTime(event.atMs, nowMs),
        })
        .onConflictDoNothing();
      return;
    case 'undo-break':
      await tx
        .update(walkBreaks)
        .set({ undoneAt: trustedTime(event.atMs, nowMs) })
        .where(and(eq(walkBreaks.yardId, yardId), eq(walkBreaks.id, event.breakId), isNull(walkBreaks.undoneAt)));
      return;
    case 'ask':
      await requireLesson(tx, yardId, event.lessonId);
      if (event.pairId !== null) await requirePair(tx, yardId, event.pairId);
      await tx
        .insert(lessonAsks)
        .values({
          ...{ id: event.id, yardId, lessonId: event.lessonId, stageId: event.stageId, pairId: event.pairId },
          questionId: await keepQuestion(tx, yardId, event.question),
          askedAt: trustedTime(event.atMs, nowMs),
        })
        .onConflictDoNothing();
      return;
    case 'undo-ask':
      await tx
        .update(lessonAsks)
        .set({ undoneAt: trustedTime(event.atMs, nowMs) })
        .where(and(eq(lessonAsks.yardId, yardId), eq(lessonAsks.id, event.askId), isNull(lessonAsks.undoneAt)));
      return;
    case 'acknowledge':
      await requireLesson(tx, yardId, event.lessonId);
      await tx
        .update(lessons)
        .set({ acknowledgedAt: trustedTime(event.atMs, nowMs) })
        .where(and(eq(lessons.id, event.lessonId), isNull(lessons.acknowledgedAt)));
      return;
    default:
      return recordInPass(tx, recording, event);
  }
}

async function recordPass(
  tx: Transaction,
  recording: Recording,
  pass: Extract<RecordEvent, { type: 'pass' }>['pass'],
): Promise<void> {
  const { yardId, nowMs } = recording;
  const { id, pairId, layoutVersionId, lessonId, stageId, stage, rein, direction, riddenAtMs } = pass;
  const version = await findVersion(tx, yardId, layoutVersionId);
  if (!version) throw new RecordRefused('This layout is not in the yard any more: go back and choose it again.');
  const question = pass.question.id === UNTOLD_QUESTION.id ? versionQuestion(version.layout, null, id) : pass.question;
  if (question && !askedLayout(version.layout, question))
    throw new RecordRefused('What was asked goes over something that this layout does not have.');
  await requirePair(tx, yardId, pairId);
  if (lessonId !== null) await requireLesson(tx, yardId, lessonId);
  const riddenAt = trustedTime(riddenAtMs, nowMs);
  await tx
    .insert(passes)
    .values({
      ...{ id, yardId, pairId, layoutVersionId, lessonId, stageId, stage, rein, direction, riddenAt },
      questionId: question && (await keepQuestion(tx, yardId, question)),
    })
    .onConflictDoNothing();
}

async function recordInPass(
  tx: Transaction,
  recording: Recording,
  event: Extract<RecordEvent, { passId: string }>,
): Promise<void> {
  const { yardId, nowMs } = recording;
  const [pass] = await tx
    .select({ layoutVersionId: passes.layoutVersionId, questionId: passes.questionId })
    .from(passes)
    .where(and(eq(passes.id, event.passId), eq(passes.yardId, yardId)));
  if (!pass) throw new RecordRefused('A mark speaks of a pass that was never recorded.');
  switch (event.type) {
    case 'amend':
      await tx.update(passes).set({ rein: event.rein, direction: event.direction }).where(eq(passes.id, event.passId));
      return;
    case 'mark':
      refusePlace(event.mark, await placesOf(tx, recording, event.passId, pass));
      await tx
        .insert(marks)
        .values({ ...markRow(event.mark), yardId, passId: event.passId, markedAt: trustedTime(event.atMs, nowMs) })
        .onConflictDoNothing();
      return;
    case 'undo-mark':
      await tx
        .update(marks)
        .set({ undoneAt: trustedTime(event.atMs, nowMs) })
        .where(and(eq(marks.id, event.markId), eq(marks.passId, event.passId), isNull(marks.undoneAt)));
      return;
    case 'undo-pass':
      await tx
        .update(passes)
        .set({ undoneAt: trustedTime(event.atMs, nowMs) })
        .where(and(eq(passes.id, event.passId), isNull(passes.undoneAt)));
      return;
    default:
      assertNever(event);
  }
}

async function requirePair(tx: Transaction, yardId: string, pairId: string): Promise<void> {
  if (!(await findPair(tx, yardId, pairId)))
    throw new RecordRefused('This pair is not in the yard any more: go back and choose it again.');
}

async function requireLesson(tx: Transaction, yardId: string, lessonId: string): Promise<void> {
  const [found] = await tx
    .select({ id: lessons.id })
    .from(lessons)
    .where(and(eq(lessons.yardId, yardId), eq(lessons.id, lessonId)));
  if (!found) throw new RecordRefused('This lesson is not in the yard any more.');
}

async function placesOf(
  tx: Transaction,
  { yardId, placesOf: known }: Recording,
  passId: string,
  pass: { layoutVersionId: string; questionId: string | null },
): Promise<Places> {
  const before = known.get(passId);
  if (before) return before;
  const version = await findVersion(tx, yardId, pass.layoutVersionId);
  const { questionId } = pass;
  const question = questionId === null ? null : (await questionsById(tx, yardId, [questionId])).get(questionId);
  const track = version && question ? askedLayout(version.layout, question)?.tracks[0] : undefined;
  const places = {
    stops: track?.kind === 'items' ? track.through.length : 0,
    figures: track?.kind === 'figures' ? track.figures.length : 0,
  };
  known.set(passId, places);
  return places;
}

/** Marks of a place must name one that the pass's own track has. */
function refusePlace(mark: PassMark, { stops, figures }: Places): void {
  if (mark.kind === 'line' && !(mark.from < mark.to && mark.to <= stops))
    throw new RecordRefused(`The track goes over ${stops}: there is no line from ${mark.from} to ${mark.to}.`);
  if (!('place' in mark) || mark.place === null) return;
  if (mark.kind === 'figure') {
    if (mark.place > figures)
      throw new RecordRefused(`There are ${figures} figures: there is no figure ${mark.place}.`);
    return;
  }
  const isGap = mark.kind === 'footfall' || mark.kind === 'strides';
  // A fault may be of the flat, where nothing is ridden over.
  if (mark.kind === 'fault' && stops === 0) return;
  if (mark.place > (isGap ? stops - 1 : stops))
    throw new RecordRefused(
      `The track goes over ${stops}: there is no ${isGap ? 'gap' : 'pole or fence'} ${mark.place}.`,
    );
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
