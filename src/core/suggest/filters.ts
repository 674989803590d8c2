import { findRecipe } from '../exercises/shelf';
import { HORSE_LEVELS } from '../horse/horseLevel';
import { expectedWork } from '../work/expectedWork';
import { dayWarnings, jumps } from '../work/workCounts';
import { candidateWork, type Candidate, type SuggestWish } from './candidate';
import { unknownBefore } from './needs';
import type { PairSeen } from './pairSeen';

/** A rule that takes something out: `why` in a clause where it does, null where it does not. */
export type Filter = {
  key: string;
  /** What it does, for whoever wants to know. */
  words: string;
  why: (candidate: Candidate, pair: PairSeen, index: number, wish: SuggestWish) => string | null;
};

const WEEK = 7;

/** Every rule that takes something out before anything is weighed. */
export const FILTERS: readonly Filter[] = [
  {
    key: 'level',
    words: 'Nothing is suggested that is made for horses of a level above the pair’s.',
    why: ({ facts }, { horse }) =>
      HORSE_LEVELS.indexOf(facts.level) > HORSE_LEVELS.indexOf(horse.level)
        ? `it is made for ${facts.level} horses`
        : null,
  },
  {
    key: 'known',
    words: 'What must be known before an exercise was ridden clean, or is what every horse of the level knows.',
    why: ({ facts }, { horse, ridden }) => {
      const [first] = unknownBefore(facts.exercise, horse.level, ridden);
      return first === undefined ? null : `${findRecipe(first)?.guidance.title ?? first} comes first`;
    },
  },
  {
    key: 'done',
    words: 'What was earned to its last stage is left alone for four weeks.',
    why: ({ next }, _, index) =>
      next[index]!.why === 'kept' && next.length === 1 ? 'all of it was earned lately' : null,
  },
  {
    key: 'minutes',
    words: 'The series fits the minutes there are.',
    why: ({ minutes }, _, __, wish) =>
      minutes > wish.minutes ? `it takes ${minutes} minutes of ${wish.minutes}` : null,
  },
  {
    key: 'day',
    words: 'With all else that the horse does that day, it stays under the yard’s limits of a day.',
    why: (candidate, { earlier }, index, { limits }) =>
      dayWarnings(expectedWork([candidateWork(candidate, index)], earlier), limits)[0] ?? null,
  },
  {
    key: 'week',
    words: 'In no seven days around it does the horse jump on more days than the yard’s limit.',
    why: (candidate, { jumpingDays }, index, { day, limits }) => {
      if (!jumps(candidateWork(candidate, index))) return null;
      const most = mostInAWeek(jumpingDays, day);
      return most > limits.jumpingDays ? `it would jump on ${most} days of seven` : null;
    },
  },
  {
    key: 'two days',
    words: 'The same hard exercise is not ridden two days running: one with fences, or one that was not earned.',
    why: (candidate, pair, index, { day }) => {
      const { facts, next } = candidate;
      const { standing } = next[index]!;
      const isHard = jumps(candidateWork(candidate, index)) || standing?.at === 'held';
      const isNear = ({ day: other, exercise }: { day: number; exercise: string }) =>
        exercise === facts.exercise && Math.abs(other - day) <= 1;
      return isHard && [...pair.ridden, ...pair.planned].some(isNear) ? 'it is ridden the day before or after' : null;
    },
  },
];

/** The most jumping days in any seven that have a day, that day among them. */
function mostInAWeek(jumpingDays: readonly number[], day: number): number {
  const days = new Set([...jumpingDays, day]);
  let most = 0;
  for (let first = day - WEEK + 1; first <= day; first += 1)
    most = Math.max(most, [...days].filter(one => one >= first && one < first + WEEK).length);
  return most;
}

/** Why a candidate is out; null where it stays in. In a group every pair must be able to ride it. */
export function outBecause(candidate: Candidate, wish: SuggestWish): string | null {
  const { facts, next } = candidate;
  if (wish.refused.some(({ exercise, stage }) => exercise === facts.exercise && next.some(one => one.stage === stage)))
    return 'it was refused lately';
  if (next.every(({ why }) => why === 'kept')) return 'all of it was earned lately';
  for (const [index, pair] of wish.pairs.entries())
    for (const { why } of FILTERS) {
      const said = why(candidate, pair, index, wish);
      if (said !== null) return wish.pairs.length > 1 ? `${pair.name}: ${said}` : said;
    }
  return null;
}
