import type { FailurePolicy, Seat, StopRule } from '../exercises/exercise';

/** One stage of a lesson: a layout as it is built then, what to think of, and how often it is ridden. */
export type LessonStage = {
  id: string;
  name: string;
  /** The warm-up is a stage of its own, without a layout. */
  layoutId: string | null;
  /** Which exercise of the layout, and which of its stages; null for the layout as it is planned. */
  exercise: { id: string; stage: number } | null;
  focus: string;
  seat: Seat;
  eachRein: number;
  minutes: number;
  policy: FailurePolicy;
  stop: StopRule;
};

/** What is planned for a lesson. */
export type LessonPlan = {
  pairIds: string[];
  stages: LessonStage[];
  /** Minutes between walk breaks. */
  breakEveryMin: number;
};

/** Common practice, no source: a walk break every ten minutes. */
export const USUAL_BREAK_MIN = 10;

/** The minutes of all stages together. */
export function lessonMinutes({ stages }: Pick<LessonPlan, 'stages'>): number {
  return stages.reduce((sum, { minutes }) => sum + minutes, 0);
}
