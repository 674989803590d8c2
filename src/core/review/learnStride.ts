import type { StrideInterval } from '../horse/strideProfile';
import { studentTwoSided } from '../statistics/studentQuantile';
import { normalCdf } from '../stride/normalCdf';
import { neededShare, type DistanceRule } from '../stride/distanceRule';
import { USUAL_SPREAD } from '../stride/readDistance';

/** A distance ridden without a count being asked: so many strides in so much ground, as it counts with its turns. */
export type RiddenCount = { groundM: number; count: number; rule: DistanceRule };

/** The counts of one pass, and how many passes had the very same. */
export type RiddenPass = { counts: readonly RiddenCount[]; times: number };

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
/**
 * What stride makes the counts that were ridden the likeliest, by the chance of each count (countChance). Every count says
 * only that the stride lay between two bounds; many of them, over different grounds, close in on it. The legs of a pass
 * may be alike, a quick pass quick in all of them: the interval is that of the likelihood ratio, stretched by as much as
 * the passes differ more from each other than separate legs would (fallToEnds), and by what a horse differs from day to day.
 * @param aroundM - the stride that is thought so far, metres
 * @param days - on how many days they were ridden
 * @returns null where the counts do not close in on it from both sides
 * @throws {RangeError} a stride that is not positive, or a number of days under one
 */
export function learnStride(
  passes: readonly RiddenPass[],
  aroundM: number,
  days: number,
  spread = USUAL_SPREAD,
): LearnedStride | null {
  if (!(aroundM > 0 && aroundM < Infinity && days >= 1)) throw new RangeError(`learnStride(${aroundM}, ${days})`);
  const ridden = eachOnce(passes);
  const legs = ridden.reduce((sum, { times }) => sum + times, 0);
  if (legs === 0) return null;
  const fit = (strideM: number) =>
    ridden.reduce((sum, leg) => sum + leg.times * logChance(leg.count, strideM, spread), 0);
  const grid = Array.from({ length: STEPS + 1 }, (_, i) => aroundM * LEAST * (MOST / LEAST) ** (i / STEPS));
  const fits = grid.map(fit);
  const best = fits.indexOf(Math.max(...fits));
  if (best === 0 || best === STEPS) return null;
  const strideM = highest(fit, grid[best - 1]!, grid[best + 1]!);
  const level = fit(strideM) - fallToEnds(passes, strideM, spread);
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

/** How likely a count is at a stride, on the scale of the logarithm. */
export function logChance({ groundM, count, rule }: RiddenCount, strideM: number, spread: number): number {
  const inStrides = groundM / strideM;
  const atLeast = (strides: number) => quickCdf((neededShare(inStrides, strides, rule) - 1) / spread);
  const chance = (count === 0 ? 1 : atLeast(count - 0.5)) - atLeast(count + 0.5);
  return Math.log((1 - MISCOUNT) * Math.max(0, chance) + MISCOUNT / 10);
}

type Leg = { count: RiddenCount; times: number };

/** The same for the same count over the same ground. */
export const countKey = ({ groundM, count, rule }: RiddenCount): string =>
  `${groundM.toFixed(3)} ${count} ${rule.fixed} ${rule.perStride} ${rule.keepsFixed}`;

/** What was ridden, each count over each ground once, with how often. */
function eachOnce(passes: readonly RiddenPass[]): Leg[] {
  const legs = new Map<string, Leg>();
  for (const { counts, times } of passes)
    for (const count of counts) {
      const same = legs.get(countKey(count));
      if (same) same.times += times;
      else legs.set(countKey(count), { count, times });
    }
  return [...legs.values()];
}

/** So far to each side of the likeliest stride its slope is taken, a share of it. */
const SLOPE_STEP = 0.01;
/** Before a pass is seen: half of what a stride varies by belongs to the pass (common practice, no source). */
const ALIKE_BEFORE = 0.5;
/** As many passes as this have to speak before they outweigh that. */
const WEIGHT_BEFORE = 3;

/**
 * How far the log-likelihood may fall to the ends of the interval, when the legs of a pass may be alike. Were they separate,
 * the slopes of the passes at the likeliest stride would vary by the information they hold; by how much they vary more, the
 * likelihood is too sure (the sandwich estimator for clusters, Liang and Zeger 1986, Biometrika 73:13-22, from memory),
 * with Student's point for the few passes that say so.
 */
function fallToEnds(passes: readonly RiddenPass[], strideM: number, spread: number): number {
  const slopes = new Map<string, { slope: number; held: number }>();
  const [lowM, highM] = [strideM * (1 - SLOPE_STEP), strideM * (1 + SLOPE_STEP)];
  const ofLeg = (leg: RiddenCount) => {
    const known = slopes.get(countKey(leg));
    if (known) return known;
    const [low, at, high] = [lowM, strideM, highM].map(stride => logChance(leg, stride, spread)) as [
      number,
      number,
      number,
    ];
    const own = { slope: (high - low) / (2 * SLOPE_STEP), held: -(high - 2 * at + low) / SLOPE_STEP ** 2 };
    slopes.set(countKey(leg), own);
    return own;
  };
  let [count, legs, legsSquared, varies, held] = [0, 0, 0, 0, 0];
  for (const pass of passes) {
    const own = pass.counts.map(ofLeg);
    count += pass.times;
    legs += pass.times * own.length;
    legsSquared += pass.times * own.length ** 2;
    varies += pass.times * own.reduce((sum, { slope }) => sum + slope, 0) ** 2;
    held += pass.times * own.reduce((sum, one) => sum + one.held, 0);
  }
  const before = 1 + ALIKE_BEFORE * (legsSquared / legs - 1);
  const seen = held > 0 ? varies / held : before;
  const freedom = count - 1 + WEIGHT_BEFORE;
  const alike = Math.max(1, (WEIGHT_BEFORE * before + count * seen) / freedom);
  return (alike * studentTwoSided(0.95, freedom) ** 2) / 2;
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
