import type { Purpose } from '../exercises/exercise';
import type { HorseLevel } from '../horse/horseLevel';
import type { TrackGait } from '../layout/trackGait';
import type { RideTime } from '../lesson/stageMinutes';
import type { Rein } from '../track/rein';
import type { QuestionWork } from '../work/questionWork';

/** What sort of work something is: a horse is not asked for the same sort day after day. */
export const WORK_KINDS = ['flat', 'poles', 'fences'] as const;
export type WorkKind = (typeof WORK_KINDS)[number];

/** A stage of an exercise as it may be asked of a pair. */
export type StageFacts = {
  name: string;
  kind: WorkKind;
  gait: TrackGait;
  hasReins: boolean;
  /** Of one time along it. */
  work: QuestionWork;
  rideTime: RideTime;
  eachRein: number;
};

/** An exercise as suggestions look at it: what it is for, and its stages, the easiest first. */
export type ExerciseFacts = {
  exercise: string;
  title: string;
  purposes: readonly Purpose[];
  level: HorseLevel;
  stages: readonly StageFacts[];
};

/** A pass as suggestions look at it; one that was given up before the line is none. */
export type SeenPass = { rein: Rein | null; isClean: boolean };

/** What a pair rode of a stage of an exercise on a day (its number, see calendarDay), pass by pass. */
export type RiddenStep = {
  day: number;
  exercise: string;
  stage: number;
  kind: WorkKind;
  gait: TrackGait | null;
  purposes: readonly Purpose[];
  passes: readonly SeenPass[];
};
