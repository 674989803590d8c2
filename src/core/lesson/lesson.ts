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
  /** Where the rider is what is worked on: what is tapped of the rider. */
  riderMarks?: string[];
};

/** What is planned for a lesson. */
export type LessonPlan = {
  pairIds: string[];
  stages: LessonStage[];
  /** Minutes between walk breaks. */
  breakEveryMin: number;
};

export const WARM_UP = 'Warm-up';

/** Common practice, no source: ten minutes to begin with, without a layout. */
export function warmUpStage(id: string): LessonStage {
  return {
    ...{ id, name: WARM_UP, layoutId: null, questions: [], focus: 'Loose and forward', seat: 'rising' },
    ...{ eachRein: 0, minutes: 10, policy: 'let it go', stop: { when: 'minutes', minutes: 10 } },
  };
}

/** Common practice, no source: a walk break every ten minutes. */
export const USUAL_BREAK_MIN = 10;

/** The minutes of all stages together. */
export function lessonMinutes({ stages }: { stages: readonly Pick<LessonStage, 'minutes'>[] }): number {
  return stages.reduce((sum, { minutes }) => sum + minutes, 0);
}
