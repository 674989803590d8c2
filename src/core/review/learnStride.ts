import type { StrideInterval } from '../horse/strideProfile';
import { normalCdf } from '../stride/normalCdf';
import type { DistanceRule } from '../stride/distanceRule';
import { USUAL_SPREAD } from '../stride/readDistance';

/** A distance ridden without a count being asked: so many strides in so much ground, so often. */
export type RiddenCount = { groundM: number; count: number; rule: DistanceRule; times: number };

/** A stride as the record has it: the likeliest, and where the true one lies 95 times in 100. */
export type LearnedStride = StrideInterval & { strideM: number; legs: number; days: number };

/** A watcher miscounts, or a pair has an off moment, now and then: no count is impossible. */
const MISCOUNT = 0.02;
/** Common practice, no source: how much a horse's own normal stride differs from one day to the next, as a share. */
const DAY_SPREAD = 0.015;
/** Within these shares of the stride that is thought so far the learned one is looked for. */
const LEAST = 0.65;
const MOST = 1.5;
const STEPS = 72;
/** Half the 95 % point of χ² with one degree: what the log-likelihood may fall to the ends of the interval. */
const FALL = 1.920729;

/**
 * What stride makes the counts that were ridden the likeliest, by the chance of each count (countChance). Every count says only that the stride lay between two
 * bounds; many of them, over different grounds, close in on it. The interval is that of the likelihood ratio, widened by
 * what a horse differs from day to day.
 * @param aroundM - the stride that is thought so far, metres
 * @param days - on how many days they were ridden
 * @returns null where the counts do not close in on it from both sides
 * @throws {RangeError} a stride that is not positive, or a number of days under one
 */
export function learnStride(
  ridden: readonly RiddenCount[],
  aroundM: number,
  days: number,
  spread = USUAL_SPREAD,
): LearnedStride | null {
  if (!(aroundM > 0 && aroundM < Infinity && days >= 1)) throw new RangeError(`learnStride(${aroundM}, ${days})`);
  const legs = ridden.reduce((sum, { times }) => sum + times, 0);
  if (legs === 0) return null;
  const fit = (strideM: number) =>
    ridden.reduce((sum, { groundM, count, rule, times }) => {
      const inStrides = groundM / strideM;
      const atLeast = (strides: number) => quickCdf((inStrides / (rule.fixed + strides * rule.perStride) - 1) / spread);
      const chance = (count === 0 ? 1 : atLeast(count - 0.5)) - atLeast(count + 0.5);
      return sum + times * Math.log((1 - MISCOUNT) * Math.max(0, chance) + MISCOUNT / 10);
    }, 0);
  const grid = Array.from({ length: STEPS + 1 }, (_, i) => aroundM * LEAST * (MOST / LEAST) ** (i / STEPS));
  const fits = grid.map(fit);
  const best = fits.indexOf(Math.max(...fits));
  if (best === 0 || best === STEPS) return null;
  const strideM = highest(fit, grid[best - 1]!, grid[best + 1]!);
  const level = fit(strideM) - FALL;
  // From the ends inward, so that a second hump lies within the interval.
  const below = fits.findIndex(value => value >= level);
  const above = fits.findLastIndex(value => value >= level);
  if (below <= 0 || above >= STEPS) return null;
  const lowM = below > best ? strideM : crossing(fit, level, grid[below - 1]!, grid[below]!);
  const highM = above < best ? strideM : crossing(fit, level, grid[above + 1]!, grid[above]!);
  const dayM = (1.96 * DAY_SPREAD * strideM) / Math.sqrt(days);
  return {
    ...{ strideM, legs, days },
    lowM: strideM - Math.hypot(strideM - lowM, dayM),
    highM: strideM + Math.hypot(highM - strideM, dayM),
  };
}

const TABLE_FROM = -8;
const TABLE_STEP = 1 / 128;
/** The normal distribution between its ends, reckoned once: a fit asks for it thousands of times. */
const TABLE = Array.from({ length: 16 / TABLE_STEP + 2 }, (_, i) => normalCdf(TABLE_FROM + i * TABLE_STEP));

/** The normal distribution to about 2e-6, which is far finer than a miscount. */
function quickCdf(z: number): number {
  const at = (z - TABLE_FROM) / TABLE_STEP;
  if (at <= 0) return 0;
  const index = Math.floor(at);
  if (index + 1 >= TABLE.length) return 1;
  return TABLE[index]! + (at - index) * (TABLE[index + 1]! - TABLE[index]!);
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** Where a function is highest between two points, by golden sections. */
function highest(of: (x: number) => number, fromX: number, toX: number): number {
  let [low, high] = [fromX, toX];
  for (let step = 0; step < 22; step += 1) {
    const [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
    if (of(a) >= of(b)) high = b;
    else low = a;
  }
  return (low + high) / 2;
}

/** Where a function comes up to a level, from a point below it to one that is not. */
function crossing(of: (x: number) => number, level: number, belowX: number, aboveX: number): number {
  let [below, above] = [belowX, aboveX];
  for (let step = 0; step < 20; step += 1) {
    const middle = (below + above) / 2;
    if (of(middle) >= level) above = middle;
    else below = middle;
  }
  return (below + above) / 2;
}
