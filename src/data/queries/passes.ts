import { assertNever, riddenRow, type PassMark, type PassRecord, type RecordEvent } from '@/core';
import { MarkOnPaper, type RecordBatch } from '@/files/recordEvent';
import { and, asc, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import { trustedTime } from '../trustedTime';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../openDatabase';
import { layoutVersions, lessons, marks, passes, walkBreaks } from '../schema';
import type { Transaction } from '../writeQueue';
import { asVersion, findVersion, type LayoutVersion } from './layoutVersions';
import { markRow } from './markRow';
import { findPair } from './pairs';
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
  return rows.map(({ id, pairId, layoutVersionId, lessonId, rein, direction, stage, riddenAt }) => ({
    ...{ id, pairId, layoutVersionId, lessonId, rein, direction, stage },
    riddenAtMs: riddenAt.getTime(),
    marks: marksOf.get(id) ?? [],
  }));
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

/** `placesOf`: how many items each layout version is ridden over, once looked up. */
type Recording = { yardId: string; nowMs: number; placesOf: Map<string, number> };

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
  const { id, pairId, layoutVersionId, lessonId, stage, rein, direction, riddenAtMs } = pass;
  if (!(await findVersion(tx, yardId, layoutVersionId)))
    throw new RecordRefused('This layout is not in the yard any more: go back and choose it again.');
  await requirePair(tx, yardId, pairId);
  if (lessonId !== null) await requireLesson(tx, yardId, lessonId);
  const riddenAt = trustedTime(riddenAtMs, nowMs);
  await tx
    .insert(passes)
    .values({ id, yardId, pairId, layoutVersionId, lessonId, stage, rein, direction, riddenAt })
    .onConflictDoNothing();
}

async function recordInPass(
  tx: Transaction,
  recording: Recording,
  event: Extract<RecordEvent, { passId: string }>,
): Promise<void> {
  const { yardId, nowMs } = recording;
  const [pass] = await tx
    .select({ layoutVersionId: passes.layoutVersionId })
    .from(passes)
    .where(and(eq(passes.id, event.passId), eq(passes.yardId, yardId)));
  if (!pass) throw new RecordRefused('A mark speaks of a pass that was never recorded.');
  switch (event.type) {
    case 'amend':
      await tx.update(passes).set({ rein: event.rein, direction: event.direction }).where(eq(passes.id, event.passId));
      return;
    case 'mark':
      refusePlace(event.mark, await placesOf(tx, recording, pass.layoutVersionId));
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

async function placesOf(tx: Transaction, { yardId, placesOf: known }: Recording, versionId: string): Promise<number> {
  const before = known.get(versionId);
  if (before !== undefined) return before;
  const version = await findVersion(tx, yardId, versionId);
  const places = version ? (riddenRow(version.layout)?.items ?? 0) : 0;
  known.set(versionId, places);
  return places;
}

/** Marks of a place must name one that the track has; figures are counted by themselves. */
function refusePlace(mark: PassMark, places: number): void {
  if (mark.kind === 'line' && !(mark.from < mark.to && mark.to <= places))
    throw new RecordRefused(`The track goes over ${places}: there is no line from ${mark.from} to ${mark.to}.`);
  if (!('place' in mark) || mark.place === null || mark.kind === 'figure') return;
  const isGap = mark.kind === 'footfall' || mark.kind === 'strides';
  // A fault may be of the flat, where nothing is ridden over.
  if (mark.kind === 'fault' && places === 0) return;
  if (mark.place > (isGap ? places - 1 : places))
    throw new RecordRefused(
      `The track goes over ${places}: there is no ${isGap ? 'gap' : 'pole or fence'} ${mark.place}.`,
    );
}

/** Whose a pass is, and what it was ridden over; null where there is none. */
export async function passPlace(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  passId: string,
): Promise<{ pairId: string; layoutVersionId: string } | null> {
  const [pass] = await db
    .select({ pairId: passes.pairId, layoutVersionId: passes.layoutVersionId })
    .from(passes)
    .where(and(eq(passes.yardId, yardId), eq(passes.id, passId)));
  return pass ?? null;
}
