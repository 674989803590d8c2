import {
  askedLayout,
  questionKey,
  questionWords,
  reviewPass,
  riddenGround,
  UNTOLD_QUESTION,
  type Layout,
  type PassMark,
  type PassRecord,
  type Question,
  type ReviewPass,
  type RideDirection,
} from '@/core';
import { MARK_KINDS } from '@/files/recordEvent';
import { and, asc, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import type { RoanDatabase } from '../openDatabase';
import { layouts, layoutVersions, marks, passes } from '../schema';
import { versionsRidden } from './passes';
import { questionsById } from './questions';
import { passesChanged, recordRevision } from './recordRevision';

type Reader = Pick<RoanDatabase, 'select'>;

export type ReviewWish = { pairIds: readonly string[] } | { arenaId: string } | { layoutId: string } | 'all';

/** The yard's clock: the day of an instant, "2026-05-04". */
export type YardClock = { timeZone: string; dayOf: (atMs: number) => string };

type Kept = { revision: string; passes: ReviewPass[] };

/** What was read last, as long as the record is the same. The one asked for longest ago goes first. */
const kept = new Map<string, Kept>();
const MOST_KEPT = 12;

/** The passes that a review looks at, oldest first, with what each was ridden over. */
export async function reviewPasses(
  db: Reader,
  yardId: string,
  wish: ReviewWish,
  clock: YardClock,
): Promise<ReviewPass[]> {
  const key = JSON.stringify([yardId, clock.timeZone, wish]);
  const revision = await recordRevision(db, yardId);
  const before = kept.get(key);
  kept.delete(key);
  const now = before?.revision === revision ? before : { revision, passes: await readAnew(before, revision) };
  kept.set(key, now);
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
  return now.passes;

  /** Only what changed, where that is known; else all of it. */
  async function readAnew(old: Kept | undefined, to: string): Promise<ReviewPass[]> {
    const changed = old && passesChanged(old.revision, to);
    if (!old || !changed || changed.length > MOST_CHANGED) return readPasses(db, yardId, wish, clock);
    return withChanges(old.passes, changed, await readPasses(db, yardId, wish, clock, changed));
  }
}

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
    const later = passes.findLastIndex(({ riddenAtMs }) => riddenAtMs <= pass.riddenAtMs);
    passes.splice(later + 1, 0, pass);
  }
  return passes;
}

async function readPasses(
  db: Reader,
  yardId: string,
  wish: ReviewWish,
  clock: YardClock,
  only?: readonly string[],
): Promise<ReviewPass[]> {
  // One row a pass, its marks as one text: many small rows cost more than what is in them. They are put in order here, for a
  // server of libSQL takes no order within an aggregate.
  const rows = await db
    .select({
      pass: passes,
      marks: sql<string>`json_group_array(json_array(${marks.markedAt}, ${marks}.rowid, ${marks.id}, ${marks.kind}, ${marks.place}, ${marks.fraction}, ${marks.words}, json(${marks.document}))) filter (where ${marks.id} is not null)`,
    })
    .from(passes)
    .leftJoin(marks, and(eq(marks.passId, passes.id), isNull(marks.undoneAt)))
    .where(
      and(eq(passes.yardId, yardId), isNull(passes.undoneAt), wanted(db, wish), only && inArray(passes.id, [...only])),
    )
    .groupBy(passes.id)
    .orderBy(asc(passes.riddenAt), sql`${passes}.rowid`);
  const questions = await questionsById(
    db,
    yardId,
    rows.flatMap(({ pass }) => pass.questionId ?? []),
  );
  const questionOf = (id: string | null) => questions.get(id ?? '') ?? UNTOLD_QUESTION;
  const groundOf = await groundsOf(
    db,
    yardId,
    rows.map(({ pass }) => ({ ...pass, question: questionOf(pass.questionId) })),
  );
  const dayOf = daysBy(clock);
  return rows.flatMap(({ pass, marks: text }) => {
    const { id, pairId, layoutVersionId, lessonId, stageId, stage, rein, direction } = pass;
    const ground = groundOf(pass);
    const riddenAtMs = pass.riddenAt.getTime();
    const own = (JSON.parse(text) as MarkRow[]).sort(asMarked).map(markOf);
    const record: PassRecord = {
      ...{ id, pairId, layoutVersionId, lessonId, stageId, stage, rein, direction, riddenAtMs, marks: own },
      question: questionOf(pass.questionId),
    };
    return ground ? [reviewPass(record, ground.ground, ground, dayOf(riddenAtMs))] : [];
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
  const versions = db.select({ id: layoutVersions.id }).from(layoutVersions);
  const own =
    'layoutId' in wish
      ? versions.where(eq(layoutVersions.layoutId, wish.layoutId))
      : versions.innerJoin(layouts, eq(layouts.id, layoutVersions.layoutId)).where(eq(layouts.arenaId, wish.arenaId));
  return inArray(passes.layoutVersionId, own);
}

/** A question over a version: what it was ridden over, what it is called, and what tells it from another. */
type Ground = Pick<ReviewPass, 'ground' | 'questionWords' | 'key'>;

/** Neither a version nor a question ever changes, so what is reckoned of the two holds as long as Roan runs. */
const grounds = new Map<string, Ground>();
const MOST_GROUNDS = 4000;

type OverGround = { layoutVersionId: string; questionId: string | null; direction: RideDirection };

const groundName = (yardId: string, { layoutVersionId, questionId, direction }: OverGround) =>
  `${yardId} ${layoutVersionId} ${questionId ?? ''} ${direction === 'mirrored' ? 'mirrored' : ''}`;

async function groundsOf(
  db: Reader,
  yardId: string,
  passes: readonly (OverGround & { question: Question })[],
): Promise<(pass: OverGround) => Ground | null> {
  const missing = new Map(
    passes.filter(pass => !grounds.has(groundName(yardId, pass))).map(pass => [groundName(yardId, pass), pass]),
  );
  const versions = await versionsRidden(
    db,
    yardId,
    [...missing.values()].map(({ layoutVersionId }) => layoutVersionId),
  );
  const fresh = new Map<string, Ground>();
  for (const [name, pass] of missing) {
    const version = versions.get(pass.layoutVersionId);
    if (version) fresh.set(name, groundOver(version.layout, pass.question, pass.direction));
  }
  if (grounds.size + fresh.size > MOST_GROUNDS) grounds.clear();
  for (const [name, ground] of fresh) grounds.set(name, ground);
  return pass => grounds.get(groundName(yardId, pass)) ?? null;
}

function groundOver(layout: Layout, question: Question, direction: RideDirection): Ground {
  const drawn = askedLayout(layout, question);
  const asked = direction === 'mirrored' ? askedLayout(layout, question, 'mirrored') : drawn;
  return {
    ground: riddenGround(asked, drawn, layout),
    questionWords: questionWords(layout, question),
    key: drawn ? questionKey(drawn) : '',
  };
}
