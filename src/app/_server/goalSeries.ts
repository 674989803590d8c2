import 'server-only';
import { randomUUID } from 'node:crypto';
import {
  dayNumber,
  findRecipe,
  lessonState,
  questionsOver,
  seriesNow,
  seriesStages,
  shelfFacts,
  type Goal,
  type SeriesNow,
} from '@/core';
import { DatabaseRefused } from '@/data/databaseRefused';
import type { RoanDatabase } from '@/data/database';
import { archiveLesson, changeLesson } from '@/data/queries/changeLesson';
import { listGoals } from '@/data/queries/goals';
import { layoutOffers } from '@/data/queries/layoutStages';
import { findLayout } from '@/data/queries/layouts';
import { findLesson, lessonOf, saveLesson, timesOfLessons, type Lesson } from '@/data/queries/lessons';
import { once } from '@/data/queries/saves';
import { yardRules } from '@/data/queries/settings';
import { lessons } from '@/data/schema';
import type { Transaction } from '@/data/database';
import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import { stepsByPair } from './suggestMaterial';
import { suggestedPlan, takeSuggestion } from './takeSuggestion';
import { daysLater, yardTime } from './yardTime';

type Yard = { id: string; timeZone: string };
type Reader = Pick<RoanDatabase, 'select'>;
type StageGoal = Goal & { measure: { kind: 'stage'; exercise: string; stage: number } };

const WEEK = 7;
const isStageGoal = (goal: Goal): goal is StageGoal => goal.measure?.kind === 'stage';

/** A stage of an exercise as a series of weeks asks it: what was asked the week before once to come in, then the stage. */
function weekOfStage(exercise: string, stage: number) {
  const eachRein = findRecipe(exercise)!.guidance.repetitions.eachRein;
  return [...(stage > 0 ? [{ stage: stage - 1, eachRein: 1 }] : []), { stage, eachRein }];
}

/** The stages that lie between what a pair has earned and its goal. */
async function stagesLeft(db: RoanDatabase, yard: Yard, goal: StageGoal, nowMs: number): Promise<number[]> {
  const { exercise, stage } = goal.measure;
  const facts = shelfFacts().find(one => one.exercise === exercise);
  if (!facts) return [];
  const ridden = (await stepsByPair(db, yard)).get(goal.pairId) ?? [];
  const { gate } = await yardRules(db, yard.id);
  const today = dayNumber(yardTime(nowMs, yard.timeZone, 'YYYY-MM-DD'));
  return seriesStages(facts, stage, ridden, gate, today);
}

/** The lessons of a goal’s series that were not begun, the first one first, with the stage that each asks. */
async function comingOf(db: Reader, yardId: string, goalIds: readonly string[], nowMs: number) {
  const rows = await db
    .select()
    .from(lessons)
    .where(and(eq(lessons.yardId, yardId), inArray(lessons.goalId, [...goalIds]), isNull(lessons.archivedAt)))
    .orderBy(asc(lessons.startsAt), lessons.id);
  const all = rows.map(row => ({ goalId: row.goalId!, lesson: lessonOf(row) }));
  const times = await timesOfLessons(
    db,
    yardId,
    all.map(({ lesson }) => lesson),
  );
  return all
    .filter(({ lesson }) => lessonState(times.get(lesson.id)!, nowMs) === 'planned')
    .map(({ goalId, lesson }) => ({ goalId, lesson, stage: stageAsked(lesson) }));
}

function stageAsked({ plan }: Lesson): number {
  const what = plan.stages.at(-1)?.questions[0]?.question.what;
  return what?.kind === 'stage' ? what.stage : 0;
}

/** A goal whose weeks are planned, and how they go on now; `now`: null where they are as they should be. */
export type GoalWeeks = { goal: StageGoal; lessons: { lesson: Lesson; stage: number }[]; now: SeriesNow | null };

/** The goals that have lessons to come, and whether these wait or go on. */
export async function goalWeeks(db: RoanDatabase, yard: Yard, nowMs: number): Promise<GoalWeeks[]> {
  const goals = (await listGoals(db, yard.id)).filter(isStageGoal).filter(({ reachedDay }) => reachedDay === null);
  if (goals.length === 0) return [];
  const coming = await comingOf(
    db,
    yard.id,
    goals.map(({ id }) => id),
    nowMs,
  );
  const weeks: GoalWeeks[] = [];
  for (const goal of goals) {
    const own = coming.filter(({ goalId }) => goalId === goal.id);
    if (own.length === 0) continue;
    const asked = own.map(({ lesson, stage }) => ({ id: lesson.id, stage }));
    weeks.push({ goal, lessons: own, now: seriesNow(asked, await stagesLeft(db, yard, goal, nowMs)) });
  }
  return weeks;
}

type Write = <Value>(work: (tx: Transaction) => Promise<Value>) => Promise<Value>;
/** `saveId`: names the save, so that it is made once. */
type Start = { goalId: string; arenaId: string; startsAtMs: number; nowMs: number; saveId: string | undefined };

/**
 * Plans the weeks to a goal: a lesson a week, each at the next stage, from a day on. Returns how many.
 * @throws {DatabaseRefused} where the goal is gone, is held to no stage, is earned, or has its weeks already
 */
export async function planGoalWeeks(
  db: RoanDatabase,
  write: Write,
  yard: Yard,
  { goalId, arenaId, startsAtMs, nowMs, saveId }: Start,
): Promise<number> {
  const goal = (await listGoals(db, yard.id)).find(({ id }) => id === goalId);
  if (!goal || !isStageGoal(goal))
    throw new DatabaseRefused('This goal is held to no stage: there are no weeks to it.');
  const { pairId, measure } = goal;
  const { exercise } = measure;
  const stages = await stagesLeft(db, yard, goal, nowMs);
  if (stages.length === 0) throw new DatabaseRefused('Its stage was earned already: say that the goal is reached.');
  return write(tx => once(tx, yard.id, saveId, () => planned(tx)));

  async function planned(tx: Transaction): Promise<number> {
    if ((await comingOf(tx, yard.id, [goalId], nowMs)).length > 0)
      throw new DatabaseRefused('The weeks to this goal are planned already.');
    const seriesId = randomUUID();
    const ids: string[] = [];
    let layoutId: string | null = null;
    for (const [week, stage] of stages.entries()) {
      const atMs = daysLater(startsAtMs, week * WEEK, yard.timeZone);
      const taken = { pairIds: [pairId], arenaId, startsAtMs: atMs, exercise, layoutId, next: [stage] };
      const id = await takeSuggestion(tx, yard.id, { ...taken, series: weekOfStage(exercise, stage) });
      layoutId = (await findLesson(tx, yard.id, id))!.plan.stages.at(-1)!.layoutId;
      ids.push(id);
    }
    await tx.update(lessons).set({ seriesId, goalId }).where(inArray(lessons.id, ids));
    return ids.length;
  }
}

/** Brings the weeks to a goal to what was earned: its lessons ask what comes next, and weeks are added or put away. */
export async function bringGoalWeeks(
  db: RoanDatabase,
  write: Write,
  yard: Yard,
  goalId: string,
  nowMs: number,
): Promise<void> {
  const weeks = (await goalWeeks(db, yard, nowMs)).find(({ goal }) => goal.id === goalId);
  if (!weeks?.now) return;
  const { goal, now, lessons: own } = weeks;
  const last = own.at(-1)!.lesson;
  await write(async tx => {
    for (const { id, stage } of now.asks) await askInstead(tx, yard.id, goal, id, stage, nowMs);
    const ids: string[] = [];
    for (const [week, stage] of now.moreStages.entries()) {
      const atMs = daysLater(last.startsAtMs, (week + 1) * WEEK, yard.timeZone);
      const plan = await planFor(tx, yard.id, goal, last, stage);
      ids.push(await saveLesson(tx, yard.id, { name: last.name, arenaId: last.arenaId, startsAtMs: atMs, plan }));
    }
    if (ids.length > 0) {
      const [row] = await tx.select({ seriesId: lessons.seriesId }).from(lessons).where(eq(lessons.id, last.id));
      await tx
        .update(lessons)
        .set({ goalId, seriesId: row?.seriesId ?? null })
        .where(inArray(lessons.id, ids));
    }
    for (const id of now.spare) await archiveLesson(tx, yard.id, id, true, { by: null, nowMs });
  });
}

async function askInstead(tx: Transaction, yardId: string, goal: StageGoal, id: string, stage: number, nowMs: number) {
  const lesson = await findLesson(tx, yardId, id);
  if (!lesson || stageAsked(lesson) === stage) return;
  const plan = await planFor(tx, yardId, goal, lesson, stage);
  const { name, arenaId, startsAtMs, revision, plan: before } = lesson;
  await changeLesson(tx, yardId, id, {
    name,
    arenaId,
    startsAtMs,
    plan,
    base: { revision, plan: before },
    by: null,
    nowMs,
  });
}

/** The plan of a week at a stage, over the layout that a lesson of the series is ridden over. */
async function planFor(tx: Transaction, yardId: string, { pairId, measure }: StageGoal, lesson: Lesson, stage: number) {
  const layoutId = lesson.plan.stages.at(-1)?.layoutId ?? null;
  const layout = layoutId === null ? null : await findLayout(tx, yardId, layoutId);
  const offers = layout && (await layoutOffers(tx, yardId, layout));
  if (!layout || !offers || questionsOver(offers.resolved, measure.exercise, layout.id).length <= stage)
    throw new DatabaseRefused('The layout of these lessons no longer has the exercise of the goal.');
  const asked = { pairIds: [pairId], exercise: measure.exercise, next: [stage] };
  return suggestedPlan(tx, yardId, { ...asked, series: weekOfStage(measure.exercise, stage) }, layout, offers);
}
