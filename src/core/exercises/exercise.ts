import type { Arena } from '../arena/arena';
import type { Pose } from '../geometry/pose';
import type { PointM } from '../geometry/pointM';
import type { HorseLevel } from '../horse/horseLevel';
import type { FenceForm, Item } from '../items/item';
import type { LayoutHorse, PlannedTrack } from '../layout/layout';
import type { TrackGait } from '../layout/trackGait';
import type { School } from '../stride/school';

export const PURPOSES = [
  'rhythm',
  'straightness',
  'suppleness',
  'adjustability',
  'footwork',
  'obedience',
  'canter departs',
  'accuracy',
  'confidence',
] as const;
export type Purpose = (typeof PURPOSES)[number];

export const SEATS = ['rising', 'sitting', 'half-seat'] as const;
export type Seat = (typeof SEATS)[number];

/** What a yard does after a failure; each exercise brings one, and the instructor may change it on the day. */
export const FAILURE_POLICIES = [
  'same question again',
  'lower only what failed',
  'a stage down',
  'a gait down',
  'stand and look',
  'stop, back up, restart',
  'let it go',
] as const;
export type FailurePolicy = (typeof FAILURE_POLICIES)[number];

/** When an exercise is over: after so many repetitions, so many minutes, or at the first clear improvement. */
export type StopRule =
  { when: 'repetitions' } | { when: 'minutes'; minutes: number } | { when: 'first clear improvement' };

/** How a stage is set: what is left out, what lies on the ground, and how high the rest is. */
export type StageSet = {
  /** The poles and fences that are there; null for all. */
  only: readonly string[] | null;
  /** The fences that lie as poles on the ground. */
  asPoles: readonly string[] | 'all' | 'none';
  /** What every fence that stands is built as, and how high; null for as laid out. */
  form: FenceForm | null;
  heightM: number | null;
  /** How high both ends of every pole are raised; null for as laid out. */
  raisedM: number | null;
  /** Guide rails lie ready but not up. */
  guides: boolean;
};

export const AS_LAID: StageSet = {
  only: null,
  asPoles: 'none',
  form: null,
  heightM: null,
  raisedM: null,
  guides: true,
};

/** One step of building an exercise up, with one thing to think of and a seat. The words are the instructor's to change. */
export type Stage = {
  name: string;
  set: StageSet;
  /** The gait it is ridden in; null for the exercise's own. */
  gait: TrackGait | null;
  /** The count meant for each leg of the first track; null for as laid out. */
  asked: readonly (number | null)[] | null;
  focus: string;
  seat: Seat;
};

/** What an instructor wants to know of an exercise. All texts are data, and may be replaced by the yard's own. */
export type Guidance = {
  title: string;
  purposes: readonly Purpose[];
  level: HorseLevel;
  knowFirst: readonly string[];
  repetitions: { eachRein: number; stop: StopRule };
  failure: FailurePolicy;
  watchHorse: readonly string[];
  watchRider: readonly string[];
  stand: string;
  faults: readonly { fault: string; remedy: string }[];
  cautions: readonly string[];
  /** Work of the rider's own: what is tapped of the rider while it is ridden. Left out where the horse is watched first. */
  riderMarks?: readonly string[];
};

/** Where and for whom an exercise is laid out. */
export type ExerciseGround = { arena: Arena; school: School; horses: readonly LayoutHorse[] };

/** A length worth knowing while it is set or ridden: a horse's radius on a fan, the aim on a corner. */
export type ExerciseFact = { what: string; horse: string | null; lengthM: number };

/** An exercise on the left rein in a frame of its own, x ahead and y to the left; or on the sand, once it is placed. */
export type LaidExercise = {
  items: Item[];
  tracks: PlannedTrack[];
  stages: Stage[];
  /** Where the instructor stands. */
  stand: PointM;
  facts: ExerciseFact[];
};

export type ExerciseParam = number | string | boolean | readonly string[] | readonly number[];
export type ExerciseParams = Readonly<Record<string, ExerciseParam>>;

/**
 * A recipe: guidance, and how the exercise is laid out for horses in an arena. Methods take the recipe's own parameters.
 */
export type Recipe<P extends ExerciseParams = ExerciseParams> = {
  kind: string;
  guidance: Guidance;
  /** Parameters in the order they are wished for; the first that suits arena and horses is taken. */
  wishes(ground: ExerciseGround): P[];
  /** Where the frame lies for the left rein. */
  place(ground: ExerciseGround, params: P): Pose;
  layOut(ground: ExerciseGround, params: P): LaidExercise;
  /**
   * The parameters with a distance typed for a leg of its track, metres of ground; left out where its legs are not typed.
   * Null for a leg that follows from the others.
   */
  typed?(params: P, leg: number, groundM: number): P | null;
  /** The parameters with one more piece at its end; left out where it always has as many. */
  oneMore?(params: P): P;
};
