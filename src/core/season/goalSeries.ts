import type { GateRule } from '../lesson/stageGate';
import { nextStage } from '../suggest/ladder';
import type { ExerciseFacts, RiddenStep } from '../suggest/step';

/** The stages that a series asks on its way to one, week by week: one a week, from the one that comes next. */
export function seriesStages(
  facts: Pick<ExerciseFacts, 'exercise' | 'stages'>,
  target: number,
  ridden: readonly RiddenStep[],
  rule: GateRule,
  day: number,
): number[] {
  const { stage } = nextStage(facts, ridden, rule, day);
  const last = Math.min(target, facts.stages.length - 1);
  return stage > last ? [] : Array.from({ length: last - stage + 1 }, (_, week) => stage + week);
}

/** A lesson of a series that is still to come, and the stage that it asks. */
export type SeriesLesson = { id: string; stage: number };

/** How a series goes on after what was ridden: what its lessons ask now, and how many more weeks it takes. */
export type SeriesNow = { asks: { id: string; stage: number }[]; moreStages: number[]; spare: string[] };

/**
 * Lets a series wait where a stage was not earned, and go on faster where more was: its coming lessons ask what comes next, one
 * after the other; what does not fit any more comes in weeks behind it, and lessons that are not needed are spare.
 * @returns null where its lessons ask just that already
 */
export function seriesNow(lessons: readonly SeriesLesson[], stages: readonly number[]): SeriesNow | null {
  const asks = lessons.slice(0, stages.length).map(({ id }, index) => ({ id, stage: stages[index]! }));
  const moreStages = stages.slice(lessons.length);
  const spare = lessons.slice(stages.length).map(({ id }) => id);
  const isAsIs = asks.every(({ stage }, index) => stage === lessons[index]!.stage);
  return isAsIs && moreStages.length === 0 && spare.length === 0 ? null : { asks, moreStages, spare };
}
