import { askedLayout, transitionsAsked, type PassMark, type Question } from '@/core';
import { and, eq, sql } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import { isKnownRow, knowRow } from '../knownRows';
import { lessonJoins, lessons, pairs, passes } from '../schema';
import { trustedTimes } from '../trustedTime';
import type { Transaction } from '../database';
import { findVersion } from './layoutVersions';
import { questionsById } from './questions';

/** An event that can never be taken, however often it is sent. */
export class RecordRefused extends DatabaseRefused {
  override name = 'RecordRefused';
  static override readonly kind = 'record-refused';
}

/** How many stops the track of a pass has, or how many figures. */
type Places = { stops: number; figures: number; transitions: number };

/**
 * A batch while it is written. `at` is an instant of the device's clock by the server's; `numberOf` the number that the record
 * of a lesson has from now on; `touched` are the passes that changed.
 */
export type Recording = {
  tx: Transaction;
  yardId: string;
  nowMs: number;
  at: (deviceMs: number) => Date;
  numberOf: (lessonId: string | null) => Promise<number>;
  touched: Set<string>;
  passes: Map<string, PassRow>;
};

type PassRow = Pick<typeof passes.$inferSelect, 'id' | 'layoutVersionId' | 'questionId' | 'lessonId' | 'pairId'>;

/**
 * A batch that begins.
 * @param clock - the device's clock when it sent the batch, and all times that it says; left out where the server itself says something
 */
export function beginRecording(
  tx: Transaction,
  yardId: string,
  nowMs: number,
  { sentAtMs, saidMs = [] }: { sentAtMs?: number; saidMs?: readonly number[] } = {},
): Recording {
  return {
    ...{ tx, yardId, nowMs, touched: new Set(), passes: new Map() },
    at: trustedTimes(nowMs, saidMs, sentAtMs),
    numberOf: numbersOf(tx, yardId),
  };
}

/** The next number of each lesson's record, taken once for a batch. */
function numbersOf(tx: Transaction, yardId: string): Recording['numberOf'] {
  const taken = new Map<string, number>();
  return async lessonId => {
    if (lessonId === null) return 0;
    const before = taken.get(lessonId);
    if (before !== undefined) return before;
    const [row] = await tx
      .update(lessons)
      .set({ recordNumber: sql`${lessons.recordNumber} + 1` })
      .where(and(eq(lessons.yardId, yardId), eq(lessons.id, lessonId)))
      .returning({ number: lessons.recordNumber });
    if (!row) throw new RecordRefused('This lesson is not in the yard any more.');
    taken.set(lessonId, row.number);
    return row.number;
  };
}

const FIVE_MINUTES_MS = 5 * 60 * 1000;

/** @throws {RecordRefused} for a time more than five minutes ahead: clocks differ by some */
export function refuseFuture(atMs: number, nowMs: number): void {
  if (atMs > nowMs + FIVE_MINUTES_MS)
    throw new RecordRefused('That time has not come yet: what was ridden lies before now.');
}

/** Says of a pass that something of it changed. */
export async function touchPass(recording: Recording, { id, lessonId }: PassRow): Promise<void> {
  const { tx, numberOf, touched } = recording;
  const isFirst = !touched.has(id);
  touched.add(id);
  if (lessonId !== null && isFirst)
    await tx
      .update(passes)
      .set({ recordNumber: await numberOf(lessonId) })
      .where(eq(passes.id, id));
}

/** A pass as it is kept, looked up once for a batch; null where there is none. */
export async function passRow({ tx, yardId, passes: known }: Recording, passId: string): Promise<PassRow | null> {
  const before = known.get(passId);
  if (before) return before;
  const { id, layoutVersionId, questionId, lessonId, pairId } = passes;
  const [row] = await tx
    .select({ id, layoutVersionId, questionId, lessonId, pairId })
    .from(passes)
    .where(and(eq(passes.id, passId), eq(passes.yardId, yardId)));
  if (row) known.set(passId, row);
  return row ?? null;
}

/**
 * A pair by the id that a device gave it: its own, or what the device called a pair that the yard had already.
 * @throws {RecordRefused} where there is neither
 */
export async function knownPair(tx: Transaction, yardId: string, pairId: string): Promise<string> {
  const name = `${yardId} ${pairId}`;
  if (isKnownRow(tx, name)) return pairId;
  const [pair] = await tx
    .select({ id: pairs.id })
    .from(pairs)
    .where(and(eq(pairs.yardId, yardId), eq(pairs.id, pairId)));
  if (pair) {
    knowRow(tx, name);
    return pair.id;
  }
  const [joined] = await tx
    .select({ id: lessonJoins.pairId })
    .from(lessonJoins)
    .where(and(eq(lessonJoins.yardId, yardId), eq(lessonJoins.saidPairId, pairId)));
  if (joined) return joined.id;
  throw new RecordRefused('This pair is not in the yard any more: go back and choose it again.');
}

/**
 * Marks of a place must name one that the pass's own track has.
 * @throws {RecordRefused} where it has none
 */
export async function refuseWrongPlace({ tx, yardId }: Recording, pass: PassRow, mark: PassMark): Promise<void> {
  const version = await findVersion(tx, yardId, pass.layoutVersionId);
  const { questionId } = pass;
  const asked = questionId === null ? undefined : (await questionsById(tx, yardId, [questionId])).get(questionId);
  const none = { stops: 0, figures: 0, transitions: 0 };
  refusePlace(mark, version && asked ? placesOf(askedLayout(version.layout, asked)) : none);
}

function placesOf(asked: ReturnType<typeof askedLayout>): Places {
  const track = asked?.tracks[0];
  return {
    stops: track?.kind === 'items' ? track.through.length : 0,
    figures: track?.kind === 'figures' ? track.figures.length : 0,
    transitions: asked && track?.kind === 'figures' ? transitionsAsked(asked.arena, track).length : 0,
  };
}

/**
 * What is said to have been asked in a pass must be something that its layout has.
 * @throws {RecordRefused} where it goes over something else
 */
export async function refuseOtherLayout({ tx, yardId }: Recording, pass: PassRow, question: Question): Promise<void> {
  const version = await findVersion(tx, yardId, pass.layoutVersionId);
  if (!version || !askedLayout(version.layout, question))
    throw new RecordRefused('What was asked goes over something that this layout does not have.');
}

function refusePlace(mark: PassMark, { stops, figures, transitions }: Places): void {
  if (mark.kind === 'line' && !(mark.from < mark.to && mark.to <= stops))
    throw new RecordRefused(`The track goes over ${stops}: there is no line from ${mark.from} to ${mark.to}.`);
  if (mark.kind === 'gait' && mark.from !== undefined && mark.from > stops)
    throw new RecordRefused(`The track goes over ${stops}: there is no pole or fence ${mark.from}.`);
  if (!('place' in mark) || mark.place === null) return;
  if (mark.kind === 'transition') {
    if (mark.place > transitions)
      throw new RecordRefused(`It asks for ${transitions} changes of gait: there is none numbered ${mark.place}.`);
    return;
  }
  if (mark.kind === 'figure' || mark.kind === 'slip') {
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
