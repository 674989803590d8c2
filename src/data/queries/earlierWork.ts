import {
  askedLayout,
  isVoid,
  jumps,
  questionWork,
  workKindOf,
  type Rein,
  type WorkKind,
  lessonMinutes,
  NO_EARLIER_WORK,
  plannedOf,
  plannedWork,
  questionToday,
  resolvePlan,
  sumWork,
  workLeft,
  workOfPasses,
  type EarlierWork,
  type PassRecord,
  type ResolvedPlan,
  type Work,
} from '@/core';
import { and, eq, gte, isNull, lt } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { lessons, pairs, passes } from '../schema';
import { listHorses } from './horses';
import { findLayout } from './layouts';
import { lessonOf, type Lesson } from './lessons';
import { planGround } from './planGround';
import { passesWithMarks } from './passes';
import { passWorks } from './passWorks';

/** The days that count, each from its first instant up to the next: the last one is the day of the lesson. */
export type DaysMs = readonly number[];

/** Something a horse did, or is planned to do: when, with whom, how much of what sorts, and in a pass on which rein. */
export type DoneAt = {
  horseId: string;
  pairId: string;
  lessonId: string | null;
  atMs: number;
  work: Work;
  kinds: WorkKind[];
  rein: Rein | null;
  isPlanned: boolean;
};

/**
 * What each horse does besides a lesson: on its day, and on how many of the days before it jumps. What was ridden counts as it
 * was ridden; of a lesson that is not over, what is still to come counts as it is planned. Horses without an entry do nothing.
 * @param daysMs - the first instant of each day, oldest first, and the end of the last one
 * @param notLessonId - the lesson itself: what is ridden or planned in it is counted there
 */
export async function earlierWork(
  db: Pick<RoanDatabase, 'select' | 'selectDistinct'>,
  yardId: string,
  daysMs: DaysMs,
  notLessonId: string,
  nowMs: number,
): Promise<Map<string, EarlierWork>> {
  const ridden = await riddenWork(db, yardId, daysMs, notLessonId);
  const done = [...ridden, ...(await workToCome(db, yardId, daysMs, { notLessonId, nowMs, ridden }))];
  const byHorse = new Map<string, DoneAt[]>();
  for (const one of done) byHorse.set(one.horseId, [...(byHorse.get(one.horseId) ?? []), one]);
  return new Map([...byHorse].map(([horseId, own]) => [horseId, earlierOf(own, daysMs)]));
}

/**
 * Everything that was ridden on some days, pass by pass, and what is still to come of the lessons that are planned.
 * @param daysMs - the first instant of each day, oldest first, and the end of the last one
 */
export async function workDone(
  db: Pick<RoanDatabase, 'select' | 'selectDistinct'>,
  yardId: string,
  daysMs: DaysMs,
  nowMs: number,
): Promise<DoneAt[]> {
  const ridden = await riddenWork(db, yardId, daysMs, '');
  return [...ridden, ...(await workToCome(db, yardId, daysMs, { notLessonId: '', nowMs, ridden }))];
}

/** What a pair did on a day, counted from 0, or is planned to do. */
export type WorkOnDay = { pairId: string; day: number; work: Work };

/**
 * What each pair did on each of some days, and what is still planned of their lessons.
 * @param daysMs - the first instant of each day, oldest first, and the end of the last one
 */
export async function workByPair(
  db: Pick<RoanDatabase, 'select' | 'selectDistinct'>,
  yardId: string,
  daysMs: DaysMs,
  nowMs: number,
): Promise<WorkOnDay[]> {
  const done = await workDone(db, yardId, daysMs, nowMs);
  const sums = new Map<string, WorkOnDay & { works: Work[] }>();
  for (const { pairId, atMs, work } of done) {
    const day = daysMs.findLastIndex(ms => ms <= atMs);
    const key = `${pairId} ${day}`;
    const before = sums.get(key) ?? { pairId, day, work, works: [] };
    sums.set(key, { ...before, works: [...before.works, work] });
  }
  return [...sums.values()].map(({ pairId, day, works }) => ({ pairId, day, work: sumWork(works) }));
}

function earlierOf(own: readonly DoneAt[], daysMs: DaysMs): EarlierWork {
  const on = (day: number) =>
    sumWork(own.filter(({ atMs }) => atMs >= daysMs[day]! && atMs < daysMs[day + 1]!).map(({ work }) => work));
  const today = daysMs.length - 2;
  const otherJumpingDays = daysMs.slice(0, today).filter((_, day) => jumps(on(day))).length;
  return { ...NO_EARLIER_WORK, ...on(today), otherJumpingDays };
}

const span = (daysMs: DaysMs) => [new Date(daysMs[0]!), new Date(daysMs[daysMs.length - 1]!)] as const;

async function riddenWork(
  db: Pick<RoanDatabase, 'select' | 'selectDistinct'>,
  yardId: string,
  daysMs: DaysMs,
  notLessonId: string,
): Promise<DoneAt[]> {
  const [from, to] = span(daysMs);
  const rows = await db
    .select({ pass: passes, horseId: pairs.horseId })
    .from(passes)
    .innerJoin(pairs, eq(pairs.id, passes.pairId))
    .where(
      and(
        ...[eq(passes.yardId, yardId), isNull(passes.undoneAt)],
        ...[gte(passes.riddenAt, from), lt(passes.riddenAt, to)],
      ),
    );
  const others = rows.filter(({ pass }) => pass.lessonId !== notLessonId);
  const ridden: PassRecord[] = await passesWithMarks(
    db,
    others.map(({ pass }) => pass),
  );
  const workOf = await passWorks(db, yardId, ridden);
  return ridden.map((pass, index) => ({
    ...{ horseId: others[index]!.horseId, pairId: pass.pairId, lessonId: pass.lessonId, atMs: pass.riddenAtMs },
    work: workOfPasses([pass], workOf),
    kinds: isVoid(pass) ? [] : [workOf(pass)].flatMap(work => (work ? [workKindOf(work)] : [])),
    ...{ rein: pass.rein, isPlanned: false },
  }));
}

type ToCome = { notLessonId: string; nowMs: number; ridden: readonly DoneAt[] };

/** What the lessons of these days that are not over still ask, as they are planned, by horse. */
async function workToCome(
  db: Pick<RoanDatabase, 'select' | 'selectDistinct'>,
  yardId: string,
  daysMs: DaysMs,
  { notLessonId, nowMs, ridden }: ToCome,
): Promise<DoneAt[]> {
  const [from, to] = span(daysMs);
  const rows = await db
    .select()
    .from(lessons)
    .where(
      and(
        ...[eq(lessons.yardId, yardId), isNull(lessons.archivedAt)],
        ...[gte(lessons.startsAt, from), lt(lessons.startsAt, to)],
      ),
    );
  const planned = rows
    .map(lessonOf)
    .filter(({ id, startsAtMs, plan }) => id !== notLessonId && startsAtMs + lessonMinutes(plan) * 60_000 > nowMs);
  if (planned.length === 0) return [];
  const riders = await db.select({ id: pairs.id, horseId: pairs.horseId }).from(pairs).where(eq(pairs.yardId, yardId));
  const resolvedOf = await plansOf(db, yardId, planned);
  return planned.flatMap(({ id: lessonId, plan, startsAtMs: atMs }) =>
    plan.pairIds.flatMap((pairId): DoneAt[] => {
      const horseId = riders.find(({ id }) => id === pairId)?.horseId;
      if (horseId === undefined) return [];
      const done = ridden.filter(one => one.lessonId === lessonId && one.pairId === pairId);
      const work = workLeft(lessonWork(plan, pairId, resolvedOf), sumWork(done.map(one => one.work)));
      const kinds = lessonKinds(plan, resolvedOf);
      return [{ horseId, pairId, lessonId, atMs, work, kinds, rein: null, isPlanned: true }];
    }),
  );
}

/** What a planned lesson asks of one pair. */
export function lessonWork(
  { stages }: Pick<Lesson['plan'], 'stages'>,
  pairId: string,
  resolvedOf: ReadonlyMap<string, ResolvedPlan>,
): Work {
  return plannedWork(
    stages.flatMap(({ layoutId, questions, eachRein }) => {
      const resolved = layoutId === null ? undefined : resolvedOf.get(layoutId);
      if (!resolved) return [];
      return questions.flatMap(({ question, ofPairs }) => {
        const today = questionToday(question, resolved);
        return (today && plannedOf(resolved.layout, { question: today, ofPairs }, pairId, eachRein)) ?? [];
      });
    }),
  );
}

/** What sorts of work a planned lesson is. */
function lessonKinds({ stages }: Pick<Lesson['plan'], 'stages'>, resolvedOf: ReadonlyMap<string, ResolvedPlan>) {
  const kinds = stages.flatMap(({ layoutId, questions }) => {
    const resolved = layoutId === null ? undefined : resolvedOf.get(layoutId);
    if (!resolved) return [];
    return questions.flatMap(({ question }) => {
      const today = questionToday(question, resolved);
      const asked = today && askedLayout(resolved.layout, today);
      return asked ? [workKindOf(questionWork(asked))] : [];
    });
  });
  return [...new Set(kinds)];
}

async function plansOf(
  db: Pick<RoanDatabase, 'select' | 'selectDistinct'>,
  yardId: string,
  planned: readonly Lesson[],
): Promise<Map<string, ResolvedPlan>> {
  const ids = new Set(planned.flatMap(({ plan }) => plan.stages.flatMap(({ layoutId }) => layoutId ?? [])));
  const horses = await listHorses(db, yardId);
  const resolved = new Map<string, ResolvedPlan>();
  for (const id of ids) {
    const layout = await findLayout(db, yardId, id);
    if (layout) resolved.set(id, resolvePlan(layout.plan, planGround(layout.name, layout.arena, horses, null)));
  }
  return resolved;
}
