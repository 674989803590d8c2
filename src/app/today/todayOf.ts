import 'server-only';
import { isComing } from '@/app/_server/comingLessons';
import { lessonSheet } from '@/app/_server/lessonSheet';
import { weekOf, yardTime } from '@/app/_server/yardTime';
import { jumps, lessonState, type AskedToShow } from '@/core';
import type { RoanDatabase } from '@/data/openDatabase';
import { workByPair } from '@/data/queries/earlierWork';
import { listLessons, timesOfLessons, type Lesson } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
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

/** What a pair does next, by the last lesson it rode. */
export type PairNext = { pairId: string; pair: string; words: string[]; from: string };

export type Today = {
  coming: ComingLesson | null;
  next: PairNext[];
  /** What a week has come to, in sentences. */
  attention: string[];
  /** The layout that was ridden last: what stands, as far as Roan knows. */
  stands: { layoutId: string; name: string; lesson: string; when: string } | null;
};

/** So many lessons that lie back are looked at for what comes next. */
const LOOKED_BACK = 6;

/** What an instructor sees on coming: the lesson to come, what stands, what is too much, and what each pair does next. */
export async function todayOf(db: RoanDatabase, yard: { id: string; timeZone: string }, nowMs: number): Promise<Today> {
  const lessons = (await listLessons(db, yard.id)).filter(({ archived }) => !archived);
  const [pairs, times] = await Promise.all([listPairs(db, yard.id), timesOfLessons(db, yard.id, lessons)]);
  const stateOf = ({ id }: Lesson) => lessonState(times.get(id)!, nowMs);
  const [soonest] = lessons
    .filter(lesson => isComing(lesson, nowMs) && stateOf(lesson) !== 'ended')
    .sort((a, b) => a.startsAtMs - b.startsAtMs);
  const ridden = lessons
    .filter(lesson => times.get(lesson.id)!.lastRiddenAtMs !== null)
    .sort((a, b) => times.get(b.id)!.lastRiddenAtMs! - times.get(a.id)!.lastRiddenAtMs!);
  const wanted = soonest ? soonest.plan.pairIds : present(pairs).map(({ id }) => id);
  const last = ridden[0];
  const lastLayoutId = last?.plan.stages.findLast(({ layoutId }) => layoutId !== null)?.layoutId;
  return {
    coming: soonest ? await comingLesson(db, yard, soonest, stateOf(soonest) === 'running') : null,
    next: await nextOf(db, yard, wanted, ridden.slice(0, LOOKED_BACK), pairs),
    attention: await attentionOf(db, yard, pairs, nowMs),
    stands:
      last && lastLayoutId
        ? {
            ...{ layoutId: lastLayoutId, lesson: last.name },
            name: last.plan.stages.findLast(({ layoutId }) => layoutId === lastLayoutId)!.name,
            when: yardTime(times.get(last.id)!.lastRiddenAtMs!, yard.timeZone, 'dddd D MMMM'),
          }
        : null,
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

/** What each pair does next by the last lesson it rode in; a pair that rode in none of them is left out. */
async function nextOf(
  db: RoanDatabase,
  yard: { id: string; timeZone: string },
  wanted: readonly string[],
  ridden: readonly Lesson[],
  pairs: readonly { id: string; horseName: string; riderName: string }[],
): Promise<PairNext[]> {
  const found = new Map<string, PairNext>();
  for (const lesson of ridden) {
    if (wanted.every(id => found.has(id))) break;
    const sheet = await lessonSheet(db, yard, lesson);
    for (const { id, end } of sheet.pairs) {
      const pair = pairs.find(one => one.id === id);
      if (!pair || !wanted.includes(id) || found.has(id) || end.next.length === 0) continue;
      found.set(id, {
        ...{ pairId: id, words: end.next, pair: `${pair.horseName} with ${pair.riderName}` },
        from: `${lesson.name}, ${yardTime(lesson.startsAtMs, yard.timeZone, 'D MMMM')}`,
      });
    }
  }
  return wanted.flatMap(id => found.get(id) ?? []);
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
    const verb = days > limit ? 'is over the limit' : 'has come to the limit';
    return [`${name} ${verb} of ${limit} jumping days in seven: ${days}, with what is planned.`];
  });
}
