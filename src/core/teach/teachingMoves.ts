import { findRecipe } from '../exercises/shelf';
import type { LayoutHorse } from '../layout/layout';
import type { DayPass } from '../review/reviewPass';
import { blockedDifference } from '../statistics/blockedDifference';
import { holm } from '../statistics/holm';
import { studentTwoSided } from '../statistics/studentQuantile';
import { mean } from '../statistics/moments';
import { exerciseOfPass, type RiddenOver } from '../suggest/riddenSteps';
import { dayNumber } from '../words/calendarDay';

/** A pair with its record, oldest first. */
export type TaughtPair = { id: string; horse: LayoutHorse; passes: readonly DayPass[] };

/**
 * What went along with an exercise: how much more other questions got clean from one time to the next where it was ridden in
 * between, than where it was not; as a share of passes, with where it lies 95 times in 100.
 */
export type Move = {
  difference: number;
  low: number;
  high: number;
  /** So many times from one to the next. */
  values: number;
  exercise: string;
  title: string;
  /** It holds with all that was looked at counted in. */
  holds: boolean;
  /** Of how many pairs. */
  pairs: number;
};

export type Moves = { own: Move[]; alike: Move[]; likePairs: number };

/** Nothing is told from fewer times on a side. */
const LEAST_TIMES = 8;
/** What lies farther apart says nothing of what was in between, days. */
const LONGEST_GAP = 42;
/** Horses as high as this, up or down, are alike (common practice, no source). */
const LIKE_M = 0.1;

/** One question from a day to the next on which it was ridden: how its share of clean passes changed, and what was in between. */
type Change = { pairId: string; change: number; between: ReadonlySet<string> };

/**
 * What moved what for a pair, and for pairs whose horses are like its own in size, type or level; each pair compared with itself.
 * A record is no experiment: what is ridden before a good week may have been chosen since the weeks were good.
 */
export function teachingMoves(pairs: readonly TaughtPair[], pairId: string, over: RiddenOver): Moves {
  const own = pairs.find(({ id }) => id === pairId);
  if (!own) return { own: [], alike: [], likePairs: 0 };
  const like = pairs.filter(({ horse }) => isLike(horse, own.horse));
  const changes = like.map(({ id, passes }) => changesOf(id, passes, over));
  const ownChanges = changes.flat().filter(change => change.pairId === pairId);
  return { own: movesIn(ownChanges), alike: movesIn(changes.flat()), likePairs: like.length };
}

/** Of one level, and of like size or one type. */
export function isLike(a: LayoutHorse, b: LayoutHorse): boolean {
  return a.level === b.level && (Math.abs(a.heightM - b.heightM) <= LIKE_M + 1e-9 || a.type === b.type);
}

type Ridden = { day: number; exercise: string; clean: number[] };

function changesOf(pairId: string, passes: readonly DayPass[], over: RiddenOver): Change[] {
  const counted = passes.filter(({ isVoid, line }) => !isVoid && line === null);
  const days = new Map<number, Set<string>>();
  const byKey = new Map<string, Ridden[]>();
  for (const pass of counted) {
    const day = dayNumber(pass.day);
    const { exercise } = exerciseOfPass(pass, over);
    days.set(day, (days.get(day) ?? new Set()).add(exercise));
    const own = byKey.get(pass.key) ?? [];
    byKey.set(pass.key, own);
    const last = own.at(-1);
    const clean = pass.faults.length === 0 ? 1 : 0;
    if (last?.day === day) last.clean.push(clean);
    else own.push({ day, exercise, clean: [clean] });
  }
  return [...byKey.values()].flatMap(ridden =>
    ridden.slice(1).flatMap((now, index): Change[] => {
      const before = ridden[index]!;
      if (now.day - before.day > LONGEST_GAP) return [];
      const between = new Set<string>();
      for (const [day, exercises] of days)
        // On the day itself only what was ridden before it could have moved it, and that is not known of all.
        if (day >= before.day && day < now.day)
          for (const exercise of exercises) if (exercise !== now.exercise) between.add(exercise);
      return [{ pairId, change: mean(now.clean) - mean(before.clean), between }];
    }),
  );
}

function movesIn(changes: readonly Change[]): Move[] {
  const exercises = new Set(changes.flatMap(({ between }) => [...between]));
  const pairIds = [...new Set(changes.map(({ pairId }) => pairId))];
  const found = [...exercises].flatMap((exercise): (Omit<Move, 'holds'> & { p: number })[] => {
    const title = findRecipe(exercise)?.guidance.title;
    const blocks = pairIds.map(id => {
      const own = changes.filter(({ pairId }) => pairId === id);
      const side = (isIn: boolean) =>
        own.filter(({ between }) => between.has(exercise) === isIn).map(one => one.change);
      return { a: side(true), b: side(false) };
    });
    const both = blocks.filter(({ a, b }) => a.length > 0 && b.length > 0);
    const times = (side: 'a' | 'b') => both.reduce((sum, block) => sum + block[side].length, 0);
    const compared = blockedDifference(blocks);
    if (title === undefined || !compared || Math.min(times('a'), times('b')) < LEAST_TIMES) return [];
    const { difference, error, degrees, p, values } = compared;
    const half = studentTwoSided(0.95, degrees) * error;
    const range = { low: difference - half, high: difference + half };
    return [{ difference, ...range, p, values, exercise, title, pairs: both.length }];
  });
  const holds = holm(found.map(({ p }) => p));
  return found.map((move, index) => ({ ...move, holds: holds[index]! })).sort((a, b) => b.difference - a.difference);
}
