import 'server-only';
import { randomUUID } from 'node:crypto';
import {
  breakEvery,
  dayShare,
  fitStages,
  isAtStage,
  isVoid,
  plannedOf,
  plannedWork,
  rideTime,
  USUAL_LESSON_MIN,
  warmUpStage,
  type FittedStage,
  type LastTime,
  type Layout as CoreLayout,
  type LessonStage,
  type PassRecord,
  type StageToFit,
} from '@/core';
import type { RoanDatabase } from '@/data/database';
import type { Horse } from '@/data/queries/horses';
import { layoutOffers, type OfferedStage } from '@/data/queries/layoutStages';
import type { Layout } from '@/data/queries/layout';
import { lessonRecord, listLessons, timesOfLessons, type Lesson } from '@/data/queries/lessons';
import { yardRules } from '@/data/queries/settings';
import { planHorse } from '@/data/queries/planGround';
import { stagesGot } from './stagesGot';

type Riding = { id: string; horseId: string };

/** The stages of a layout for a lesson as they suit those who ride, with their reasons; and how often they walk. */
export type Fitted = { stages: FittedStage[]; breakEveryMin: number };

/** The usual stages of a layout, fitted to pairs: by its exercises, by the horses, and by how the last such lesson went. */
export async function fittedStages(
  db: RoanDatabase,
  yardId: string,
  layout: Layout,
  horses: readonly Horse[],
  pairs: readonly Riding[],
): Promise<Fitted> {
  const { resolved, stages } = await layoutOffers(db, yardId, layout, horses);
  const last = await lastTimes(
    db,
    yardId,
    layout.id,
    pairs.map(({ id }) => id),
  );
  const { limits } = await yardRules(db, yardId);
  const levels = pairs.flatMap(({ horseId }) => {
    const horse = horses.find(({ id }) => id === horseId);
    return horse ? [planHorse(horse).level] : [];
  });
  const toFit = stages.map((offered): StageToFit => {
    const { what } = offered.asks;
    const exercise =
      what.kind === 'stage' ? resolved.exercises.find(({ placed }) => placed.id === what.exerciseId) : undefined;
    const stage = stageOfOffer(offered);
    return {
      stage,
      rides: stage.questions.flatMap(({ question }) => rideTime(resolved.layout, question) ?? []),
      level: exercise?.guidance.level ?? null,
      last: last(offered),
      dayShare: shareOf(resolved.layout, stage),
    };
  });
  const room = { minutes: USUAL_LESSON_MIN - warmUpStage('').minutes, dayShare: 1 };
  return { stages: fitStages(toFit, levels, room), breakEveryMin: breakEvery(levels) };

  /** The share of a day that a stage takes, ridden once on each rein. */
  function shareOf(ground: CoreLayout, { questions }: LessonStage): number {
    const once = questions.flatMap(asked => plannedOf(ground, asked, '', 1) ?? []);
    return dayShare(plannedWork(once), limits);
  }
}

/** A stage that a layout offers, as a lesson has it. */
function stageOfOffer({ asks, ...stage }: OfferedStage): LessonStage {
  return { ...stage, id: randomUUID(), questions: [{ question: { id: randomUUID(), ...asks }, ofPairs: {} }] };
}

const sameAsked = (what: unknown) => JSON.stringify(what);

/** How the stages of a layout went in the last lesson over it that any of the pairs rode in. */
async function lastTimes(db: RoanDatabase, yardId: string, layoutId: string, pairIds: readonly string[]) {
  const lesson = await lastLessonOver(db, yardId, layoutId, pairIds);
  if (!lesson) return () => null;
  const record = await lessonRecord(db, yardId, lesson);
  const { passes } = record;
  const own = passes.filter(({ pairId }) => pairIds.includes(pairId));
  const got = await stagesGot(db, yardId, lesson, { ...record, passes: own });
  return ({ asks: offered }: OfferedStage): LastTime | null => {
    const stage = lesson.plan.stages.find(({ questions }) =>
      questions.some(({ question }) => sameAsked(question.what) === sameAsked(offered.what)),
    );
    if (!stage) return null;
    const at = passes.filter(pass => isAtStage(pass, stage) && !isVoid(pass));
    return { ...got.get(stage.id)!, eachMin: minutesApart(at) };
  };
}

async function lastLessonOver(
  db: RoanDatabase,
  yardId: string,
  layoutId: string,
  pairIds: readonly string[],
): Promise<Lesson | null> {
  const over = (await listLessons(db, yardId)).filter(
    ({ archived, plan }) =>
      !archived &&
      plan.stages.some(stage => stage.layoutId === layoutId) &&
      plan.pairIds.some(id => pairIds.includes(id)),
  );
  if (over.length === 0) return null;
  const times = await timesOfLessons(db, yardId, over);
  return over.find(({ id }) => times.get(id)!.lastRiddenAtMs !== null) ?? null;
}

/** Fewer gaps than this tell nothing of how long a pass takes; a longer one was a break. */
const ENOUGH_GAPS = 4;
const LONGEST_GAP_MIN = 6;

/** The usual time from one pass to the next, minutes; null where there were too few. */
function minutesApart(passes: readonly PassRecord[]): number | null {
  const at = passes.map(({ riddenAtMs }) => riddenAtMs).sort((a, b) => a - b);
  const gaps = at
    .slice(1)
    .map((ms, index) => (ms - at[index]!) / 60_000)
    .filter(min => min > 0 && min <= LONGEST_GAP_MIN)
    .sort((a, b) => a - b);
  return gaps.length < ENOUGH_GAPS ? null : gaps[Math.floor(gaps.length / 2)]!;
}
