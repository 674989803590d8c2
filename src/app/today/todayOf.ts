import 'server-only';
import { isComing } from '@/app/_server/comingLessons';
import { lessonSheet } from '@/app/_server/lessonSheet';
import { strideDrifts } from '@/app/_server/yardStrides';
import { daysLater, weekOf, yardTime } from '@/app/_server/yardTime';
import { waitingSeries, type Waiting } from '@/app/ride/season/waitingSeries';
import { dayInWords, dayNumber, jumps, lessonState, shelfFacts, type AskedToShow } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { listArenas } from '@/data/queries/arenas';
import { workByPair } from '@/data/queries/earlierWork';
import { listLayouts } from '@/data/queries/layouts';
import { listLessons, timesOfLessons, type Lesson } from '@/data/queries/lessons';
import { listPairs, type Pair } from '@/data/queries/pairs';
import { filmsToAnswer } from '@/data/queries/videos';
import { layoutsOnSand } from '@/data/queries/sandNow';
import { yardRules } from '@/data/queries/settings';
import { present } from '@/data/present';

/** The lesson that comes, with what it asks first. */
export type ComingLesson = {
  id: string;
  name: string;
  when: string;
  isRunning: boolean;
  pairs: string[];
  stages: string[];
  first: AskedToShow | null;
  layoutId: string | null;
};

export type Today = {
  coming: ComingLesson | null;
  /** What a week has come to, in sentences. */
  attention: string[];
  /** Films of riders that wait for an answer. */
  films: { id: string; words: string }[];
  /** What stands on each sand, as far as Roan knows: what was set out or ridden over there last. */
  stands: { layoutId: string; name: string; arena: string; words: string }[];
  /** What was waited for, and goes on otherwise than it is planned. */
  waiting: Waiting[];
  /** For whom, where and when something is suggested. */
  suggest: { pairs: { id: string; horse: string; rider: string }[]; arenaId: string; startsAt: string } | null;
};

/** A lesson has twelve pairs at most. */
const MOST_SUGGESTED = 12;
/** What an instructor sees on coming: the lesson to come, what stands, and what is too much. */
export async function todayOf(db: RoanDatabase, yard: { id: string; timeZone: string }, nowMs: number): Promise<Today> {
  const lessons = (await listLessons(db, yard.id)).filter(({ archived }) => !archived);
  const [pairs, times] = await Promise.all([listPairs(db, yard.id), timesOfLessons(db, yard.id, lessons)]);
  const stateOf = ({ id }: Lesson) => lessonState(times.get(id)!, nowMs);
  const [soonest] = lessons
    .filter(lesson => isComing(lesson, nowMs) && stateOf(lesson) !== 'ended')
    .sort((a, b) => a.startsAtMs - b.startsAtMs);
  const riding = present(pairs);
  return {
    coming: soonest ? await comingLesson(db, yard, soonest, stateOf(soonest) === 'running') : null,
    attention: [...(await attentionOf(db, yard, pairs, nowMs)), ...(await strideDrifts(db, yard))],
    films: await filmsWaiting(db, yard.id, pairs),
    waiting: await waitingSeries(db, yard, nowMs),
    stands: await standsOf(db, yard),
    suggest: await suggestWish(db, yard, soonest, inOrder(riding, soonest?.plan.pairIds ?? []), nowMs),
  };
}

async function filmsWaiting(db: RoanDatabase, yardId: string, pairs: readonly Pair[]): Promise<Today['films']> {
  return (await filmsToAnswer(db, yardId)).flatMap(({ id, pairId, day, asks }) => {
    const pair = pairs.find(one => one.id === pairId);
    if (!pair || day === null) return [];
    const asked = asks === null ? '' : `: “${asks}”`;
    return [{ id, words: `${pair.horseName} with ${pair.riderName}, ${dayInWords(dayNumber(day))}${asked}` }];
  });
}

/** Those who ride next first. */
function inOrder<Pair extends { id: string }>(pairs: readonly Pair[], first: readonly string[]): Pair[] {
  return [...pairs.filter(({ id }) => first.includes(id)), ...pairs.filter(({ id }) => !first.includes(id))];
}

/** What stands on each sand: the latest that was set out or ridden over and has something on it. */
async function standsOf(db: RoanDatabase, yard: { id: string; timeZone: string }): Promise<Today['stands']> {
  const arenas = present(await listArenas(db, yard.id));
  const onSand = await layoutsOnSand(db, yard.id);
  const hasItems = new Set(
    (await listLayouts(db, yard.id))
      .filter(({ plan }) => plan.items.length > 0 || plan.exercises.some(({ kind }) => !isFlat(kind)))
      .map(({ id }) => id),
  );
  return arenas.flatMap(({ id, name: arena }) => {
    const last = onSand.find(({ arenaId, layoutId }) => arenaId === id && hasItems.has(layoutId));
    if (!last) return [];
    const when = yardTime(last.atMs, yard.timeZone, 'dddd D MMMM');
    const words = last.by === 'set' ? `set out on ${when}` : `last ridden over on ${when}`;
    return [{ layoutId: last.layoutId, name: last.name, arena, words }];
  });
}

const isFlat = (kind: string) =>
  shelfFacts().some(({ exercise, stages }) => exercise === kind && stages.every(one => one.kind === 'flat'));

/** Suggestions are made for the coming lesson’s hour and sand; else for tomorrow, where something was ridden last. */
async function suggestWish(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  coming: Lesson | undefined,
  riding: readonly { id: string; horseName: string; riderName: string }[],
  nowMs: number,
): Promise<Today['suggest']> {
  const arenas = present(await listArenas(db, yard.id));
  const arenaId = coming?.arenaId ?? (await layoutsOnSand(db, yard.id))[0]?.arenaId ?? arenas[0]?.id;
  if (arenaId === undefined || riding.length === 0) return null;
  // After what comes: what it teaches is in the record only then.
  const atMs = daysLater(coming?.startsAtMs ?? nowMs, 1, yard.timeZone);
  return {
    pairs: riding
      .slice(0, MOST_SUGGESTED)
      .map(({ id, horseName, riderName }) => ({ id, horse: horseName, rider: riderName })),
    ...{ arenaId, startsAt: yardTime(atMs, yard.timeZone, 'YYYY-MM-DDTHH:mm') },
  };
}

async function comingLesson(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  lesson: Lesson,
  isRunning: boolean,
): Promise<ComingLesson> {
  const sheet = await lessonSheet(db, yard, lesson);
  return {
    ...{ id: lesson.id, name: lesson.name, when: sheet.when, isRunning },
    pairs: sheet.pairs.map(({ horse, rider }) => `${horse} with ${rider}`),
    stages: lesson.plan.stages.map(({ name, minutes }) => `${name}, ${minutes} min`),
    first: sheet.stages.flatMap(({ asked }) => asked.map(({ show }) => show))[0] ?? null,
    layoutId: lesson.plan.stages.find(({ layoutId }) => layoutId !== null)?.layoutId ?? null,
  };
}

/** Horses that jump on as many days of these seven as is the limit, or on more. */
async function attentionOf(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  pairs: readonly { id: string; horseId: string; horseName: string }[],
  nowMs: number,
): Promise<string[]> {
  const work = await workByPair(db, yard.id, weekOf(nowMs, yard.timeZone), nowMs);
  const limit = (await yardRules(db, yard.id)).limits.jumpingDays;
  const horses = [...new Map(pairs.map(({ horseId, horseName }) => [horseId, horseName]))];
  return horses.flatMap(([horseId, name]) => {
    const own = new Set(pairs.filter(pair => pair.horseId === horseId).map(({ id }) => id));
    const days = new Set(work.filter(one => own.has(one.pairId) && jumps(one.work)).map(({ day }) => day)).size;
    if (days < limit) return [];
    const most = days > limit ? `${limit} is the limit` : 'that is the limit';
    return [`${name} jumps on ${days} ${days === 1 ? 'day' : 'days'} of these seven, with what is planned: ${most}.`];
  });
}
