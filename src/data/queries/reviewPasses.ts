import { reviewPass, UNTOLD_QUESTION, type PassMark, type PassRecord, type ReviewPass } from '@/core';
import { MARK_KINDS } from '@/files/recordEvent';
import { and, asc, eq, gte, inArray, isNull, lt, sql, type SQL } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { remembered } from '../remembered';
import { layouts, layoutVersions, marks, passes } from '../schema';
import { groundsOf } from './kept/grounds';
import { questionsById } from './questions';
import { passesChanged, recordRevision } from './recordRevision';

type Reader = Pick<RoanDatabase, 'select'>;

export type ReviewWish = { pairIds: readonly string[] } | { arenaId: string } | { layoutId: string } | 'all';

/** The yard's clock: the day of an instant, "2026-05-04". */
export type YardClock = { timeZone: string; dayOf: (atMs: number) => string };

type Kept = { revision: string; passes: ReviewPass[] };

/** What was read last, as long as the record is the same. The one asked for longest ago goes first. */
const kept = remembered<Kept>(12);

/** The passes that a review looks at, oldest first, with what each was ridden over. */
export async function reviewPasses(
  db: Reader,
  yardId: string,
  wish: ReviewWish,
  clock: YardClock,
): Promise<ReviewPass[]> {
  const key = JSON.stringify([yardId, clock.timeZone, wish]);
  const revision = await recordRevision(db, yardId);
  const before = kept.recall(key);
  const now = before?.revision === revision ? before : { revision, passes: await readAnew(before, revision) };
  kept.hold(key, now);
  return now.passes;

  /** Only what changed, where that is known; else all of it. */
  async function readAnew(old: Kept | undefined, to: string): Promise<ReviewPass[]> {
    const changed = old && passesChanged(old.revision, to);
    if (!old || !changed || changed.length > MOST_CHANGED) return readPasses(db, yardId, wish, clock);
    return withChanges(old.passes, changed, await readPasses(db, yardId, wish, clock, changed));
  }
}

type Timed = Pick<ReviewPass, 'riddenAtMs' | 'pairId'>;

/** Oldest first, those of one instant pair by pair; those of one pair stay in the order in which they were taken. */
export const inTime = (a: Timed, b: Timed): number =>
  a.riddenAtMs - b.riddenAtMs || (a.pairId === b.pairId ? 0 : a.pairId < b.pairId ? -1 : 1);

/** More changed passes than this are read with all the others. */
const MOST_CHANGED = 500;

/** The passes with some of them as they are now: changed in place, new ones by when they were ridden, others gone. */
function withChanges(old: readonly ReviewPass[], changed: readonly string[], now: readonly ReviewPass[]): ReviewPass[] {
  const passes = [...old];
  const fresh = new Map(now.map(pass => [pass.id, pass]));
  const sought = new Set(changed);
  // What changes is mostly what was ridden last.
  for (let index = passes.length - 1; index >= 0 && sought.size > 0; index -= 1) {
    const before = passes[index]!;
    if (!sought.delete(before.id)) continue;
    const after = fresh.get(before.id);
    if (after?.riddenAtMs !== before.riddenAtMs) passes.splice(index, 1);
    else {
      passes[index] = after;
      fresh.delete(before.id);
    }
  }
  for (const pass of fresh.values()) {
    const later = passes.findLastIndex(one => inTime(one, pass) <= 0);
    passes.splice(later + 1, 0, pass);
  }
  return passes;
}

/** The passes as they are now, read anew. */
async function readPasses(
  db: Reader,
  yardId: string,
  wish: ReviewWish,
  clock: YardClock,
  only?: readonly string[],
): Promise<ReviewPass[]> {
  const read = await readWhere(db, yardId, clock, and(wanted(db, wish), only && inArray(passes.id, [...only])));
  return read.map(({ pass }) => pass);
}

/** A pass with the id that its question is kept under. */
export type ReadPass = { pass: ReviewPass; questionId: string | null };

/** The passes of a pair that were ridden from one instant until before another, read anew. */
export async function passesBetween(
  db: Reader,
  yardId: string,
  pairId: string,
  clock: YardClock,
  [fromMs, toMs]: readonly [number, number],
): Promise<ReadPass[]> {
  const then = and(gte(passes.riddenAt, new Date(fromMs)), lt(passes.riddenAt, new Date(toMs)));
  return readWhere(db, yardId, clock, and(eq(passes.pairId, pairId), then));
}

/** Some passes by their ids, oldest first. */
export async function passesById(
  db: Reader,
  yardId: string,
  ids: readonly string[],
  clock: YardClock,
): Promise<ReviewPass[]> {
  const read = await readWhere(db, yardId, clock, inArray(passes.id, [...ids]));
  return read.map(({ pass }) => pass);
}

async function readWhere(db: Reader, yardId: string, clock: YardClock, which: SQL | undefined): Promise<ReadPass[]> {
  // One row a pass, its marks as one text: many small rows cost more than what is in them. They are put in order here, for a
  // server of libSQL takes no order within an aggregate.
  const rows = await db
    .select({
      pass: passes,
      marks: sql<string>`json_group_array(json_array(${marks.markedAt}, ${marks}.rowid, ${marks.id}, ${marks.kind}, ${marks.place}, ${marks.fraction}, ${marks.words}, json(${marks.document}))) filter (where ${marks.id} is not null)`,
    })
    .from(passes)
    .leftJoin(marks, and(eq(marks.passId, passes.id), isNull(marks.undoneAt)))
    .where(and(eq(passes.yardId, yardId), isNull(passes.undoneAt), which))
    .groupBy(passes.id)
    .orderBy(asc(passes.riddenAt), asc(passes.pairId), sql`${passes}.rowid`);
  const ridden = rows.map(({ pass }) => pass);
  const questions = await questionsById(
    db,
    yardId,
    ridden.flatMap(({ questionId }) => questionId ?? []),
  );
  const groundOf = await groundsOf(db, yardId, ridden);
  const dayOf = daysBy(clock);
  return rows.flatMap(({ pass, marks: text }) => {
    const { id, pairId, layoutVersionId, lessonId, stageId, stage, rein, direction, questionId } = pass;
    const ground = groundOf(pass);
    const riddenAtMs = pass.riddenAt.getTime();
    const own = (JSON.parse(text) as MarkRow[]).sort(asMarked).map(markOf);
    const record: PassRecord = {
      ...{ id, pairId, layoutVersionId, lessonId, stageId, stage, rein, direction, riddenAtMs, marks: own },
      question: questions.get(questionId ?? '') ?? UNTOLD_QUESTION,
    };
    return ground ? [{ pass: reviewPass(record, ground.ground, ground, dayOf(riddenAtMs)), questionId }] : [];
  });
}

/** When it was marked, and the how manieth row it is; then what it is. */
type MarkRow = [number, number, string, string, number | null, number | null, string | null, object | null];

const asMarked = (a: MarkRow, b: MarkRow) => a[0] - b[0] || a[1] - b[1];

/** A mark as it was taken; it was read with care then. One of a newer Roan is told as a note. */
function markOf([, , id, kind, place, fraction, words, document]: MarkRow): PassMark {
  if (kind === 'footfall') return { id, kind, place, fraction: fraction ?? 0.5 };
  if (kind === 'hit') return { id, kind, place: place ?? 1 };
  if (kind === 'note') return { id, kind, words: words ?? '' };
  return MARK_KINDS.has(kind) ? ({ ...document, id, kind } as PassMark) : { id, kind: 'note', words: kind };
}

const QUARTER_MS = 15 * 60 * 1000;

/** Days are asked for once for each quarter of an hour: no clock changes within one. */
function daysBy({ dayOf }: YardClock): (atMs: number) => string {
  const days = new Map<number, string>();
  return atMs => {
    const quarter = Math.floor(atMs / QUARTER_MS);
    const day = days.get(quarter) ?? dayOf(atMs);
    days.set(quarter, day);
    return day;
  };
}

function wanted(db: Reader, wish: ReviewWish): SQL | undefined {
  if (wish === 'all') return undefined;
  if ('pairIds' in wish) return inArray(passes.pairId, [...wish.pairIds]);
  return inArray(passes.layoutVersionId, versionsOf(db, wish));
}

/** The versions of a layout, or of all layouts of an arena. */
export function versionsOf(db: Reader, wish: { arenaId: string } | { layoutId: string }) {
  const versions = db.select({ id: layoutVersions.id }).from(layoutVersions);
  return 'layoutId' in wish
    ? versions.where(eq(layoutVersions.layoutId, wish.layoutId))
    : versions.innerJoin(layouts, eq(layouts.id, layoutVersions.layoutId)).where(eq(layouts.arenaId, wish.arenaId));
}
