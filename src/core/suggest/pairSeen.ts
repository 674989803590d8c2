import type { Goal } from '../goals/goal';
import type { LayoutHorse } from '../layout/layout';
import type { EarlierWork } from '../work/workCounts';
import type { RiddenStep } from './step';

/** A pair as suggestions look at it. Days are numbers (see calendarDay). */
export type PairSeen = {
  id: string;
  /** As a sentence names it: the horse, told apart where two bear one name. */
  name: string;
  horse: LayoutHorse;
  /** Oldest first. */
  ridden: readonly RiddenStep[];
  goals: readonly Goal[];
  /** What the horse does besides on the day of the lesson. */
  earlier: EarlierWork;
  /** Other days on which the horse jumps, ridden or planned. */
  jumpingDays: readonly number[];
  /** What is planned for it on other days. */
  planned: readonly { day: number; exercise: string }[];
};

/** Nothing is suggested to a pair from fewer passes, nor from one day alone. */
export const LEAST_PASSES = 8;
export const LEAST_DAYS = 2;

/** Why nothing is suggested to a pair yet; null where enough was ridden. */
export function tooLittle({ ridden }: Pick<PairSeen, 'ridden'>): string | null {
  const passes = ridden.reduce((sum, step) => sum + step.passes.length, 0);
  const days = new Set(ridden.map(({ day }) => day)).size;
  if (passes >= LEAST_PASSES && days >= LEAST_DAYS) return null;
  const soFar =
    passes === 0
      ? 'Nothing of the shelf was ridden yet'
      : `${passes} passes on ${days} ${days === 1 ? 'day' : 'days'} so far`;
  return `${soFar}: from ${LEAST_PASSES} passes on ${LEAST_DAYS} days on, Roan says what comes next.`;
}
