import {
  expectedWork,
  outOfReachWords,
  plannedOf,
  plannedWork,
  readForPairs,
  workWarnings,
  type LessonPlan,
  type PairLeg,
  type Work,
  type WorkLimits,
} from '@/core';
import type { LayoutHere } from '../lessonChoices';
import type { TodayOf } from './questionsToday';
import type { LessonPair } from './lessonPair';

/** One question of a lesson as it is for a pair; `legs` null where the layout no longer has it. */
export type AskOfPair = { stage: string; question: string; legs: PairLeg[] | null };

/** What a lesson asks of a pair: how much, how every leg reads, and what to look at before it rides. */
export type AsksOfPair = { work: Work; asks: AskOfPair[]; outOfReach: string[] };

/** Reads a lesson against a pair, question by question. */
export function asksOfPair(
  plan: LessonPlan,
  { id, horse, strides }: LessonPair,
  layouts: readonly LayoutHere[],
  todayOf: TodayOf,
): AsksOfPair {
  const asked = plan.stages.flatMap(stage => {
    const here = layouts.find(layout => layout.id === stage.layoutId);
    return here
      ? stage.questions.map(({ question, ofPairs }) => ({ stage, here, ofPairs, today: todayOf(question) }))
      : [];
  });
  const reach: string[] = [];
  const asks = asked.map(({ stage, here, ofPairs, today }): AskOfPair => {
    if (!today) return { stage: stage.name, question: 'something that its layout no longer has', legs: null };
    const readings = readForPairs(here.layout, { question: today.question, ofPairs }, [{ id, horse: strides }]);
    reach.push(...outOfReachWords(readings, () => `“${stage.name}”, ${horse}`));
    return { stage: stage.name, question: today.words, legs: readings[0]!.legs };
  });
  const work = plannedWork(
    asked.flatMap(({ stage, here, ofPairs, today }) => {
      const planned = today && plannedOf(here.layout, { question: today.question, ofPairs }, id, stage.eachRein);
      return planned ?? [];
    }),
  );
  return { work, asks, outOfReach: [...new Set(reach)] };
}

/** A horse's day: its part of the lesson with all its riders, its efforts with what else it does, what comes to a limit. */
export type HorseDay = {
  horseId: string;
  horse: string;
  riders: number;
  alone: Work;
  efforts: number;
  warnings: string[];
};

/** The day of each horse of a lesson, with all its riders and with what else it does: what comes to a limit, in sentences. */
export function dayOfHorses(
  pairs: readonly LessonPair[],
  asks: ReadonlyMap<string, AsksOfPair>,
  limits: WorkLimits,
): HorseDay[] {
  return [...new Set(pairs.map(({ horseId }) => horseId))].map(horseId => {
    const riding = pairs.filter(pair => pair.horseId === horseId);
    const planned = riding.map(({ id }) => asks.get(id)!.work);
    const day = expectedWork(planned, riding[0]!.earlier);
    return {
      ...{ horseId, horse: riding[0]!.horse, riders: riding.length, alone: expectedWork(planned) },
      ...{ efforts: day.lowEfforts + day.highEfforts, warnings: workWarnings(day, Infinity, limits) },
    };
  });
}
