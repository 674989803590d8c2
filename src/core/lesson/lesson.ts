import type { FailurePolicy, Seat, StopRule } from '../exercises/exercise';
import type { AskedQuestion } from '../question/pairAsk';

/** One stage of a lesson: the questions it asks over a layout, what to think of, and how often each is ridden. */
export type LessonStage = {
  id: string;
  name: string;
  /** The warm-up is a stage of its own, without a layout. */
  layoutId: string | null;
  /** In order; what a question does not say of its own is as the layout has it on the day. */
  questions: AskedQuestion[];
  focus: string;
  seat: Seat;
  /** On each rein, or in all where the track changes the rein. */
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
