import type { Purpose } from '../exercises/exercise';
import type { TrackGait } from '../layout/trackGait';
import type { Rein } from '../track/rein';

/** What of left and right a goal can be held to: the names of the measures of a review of the reins. */
export const REIN_MEASURES = [
  'clean passes',
  'landed on the lead of the rein',
  'fences left standing',
  'poles not touched',
  'right canter departs',
  'asked counts ridden',
] as const;

/**
 * What a goal is measured by. A share is of passes, counts or marks of the last weeks; `gait` null is any.
 * - `stage`: a stage of an exercise is earned;
 * - `clean`: what is for a purpose is clean so often;
 * - `rein`: one rein is as good as the other in a measure;
 * - `count`: one stride more, or one fewer, is ridden when it is asked;
 * - `head`: the head is carried as wanted.
 */
export type GoalMeasure =
  | { kind: 'stage'; exercise: string; stage: number }
  | { kind: 'clean'; purpose: Purpose; share: number }
  | { kind: 'rein'; measure: (typeof REIN_MEASURES)[number]; rein: Rein; gait: TrackGait | null }
  | { kind: 'count'; way: 'more' | 'fewer'; share: number }
  | { kind: 'head'; gait: TrackGait | null; share: number };

/** What a pair works towards, in the instructor's words. Days are numbers (see calendarDay). */
export type Goal = {
  id: string;
  pairId: string;
  words: string;
  purposes: readonly Purpose[];
  /** Null where nothing Roan counts tells of it: the instructor does. */
  measure: GoalMeasure | null;
  byDay: number | null;
  sinceDay: number;
  reachedDay: number | null;
};
