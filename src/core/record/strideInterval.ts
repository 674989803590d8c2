import type { StrideInterval } from '../horse/strideProfile';
import { betaInverse } from '../statistics/betaDistribution';
import { countChances, sumChances } from './laneCount';

/** Common practice, no source: how much a horse's stride differs from pass to pass, as a share of it. */
export const PASS_SPREAD = 0.04;
/** Common practice, no source: a part of a stride is read to a quarter, either way. */
const PART_ERROR = 0.25;
const Z_95 = 1.96;
/** What each side of a 95 % interval leaves out. */
const TAIL = 0.025;

/**
 * One pass through the lane: whole strides counted between the lines, and the parts of a stride at its ends where they
 * were noted: how far behind the start the foot was put before the first that counts (0: it was put on the line), and
 * how far before the finish the last one landed. A part at one end alone says next to nothing.
 */
export type CountedPass = { count: number; behind: number | null; part: number | null };

/** What the strides of a lane come to: the mean, and where the true number lies, 95 times in 100. */
export type StridesInLane = { mean: number; low: number; high: number };

/**
 * How many strides of the horse a lane holds, from whole-number counts of a foot that lands anywhere at the start.
 * Every number of strides belongs to the interval for which a sum of counts as small as this, and one as large, has a
 * chance of 2.5 % and more: both with strides that are the same in every pass (Clopper and Pearson's interval, from
 * memory) and with strides that vary by 4 % from pass to pass. Where every pass notes the part of a stride at both ends,
 * the strides are measured, not counted: count − part behind the start + part before the finish.
 * @throws {RangeError} no passes, or counts that are not whole and at least 1
 */
export function stridesInLane(passes: readonly CountedPass[]): StridesInLane {
  const counts = passes.map(({ count }) => count);
  if (passes.length === 0 || !counts.every(count => Number.isInteger(count) && count >= 1))
    throw new RangeError(`stridesInLane: counts ${counts.join(', ')}`);
  const measured = passes.flatMap(({ count, behind, part }) =>
    behind === null || part === null ? [] : [count - behind + part],
  );
  return measured.length === passes.length ? fromMeasured(measured) : fromWholeCounts(counts);
}

/** The same sum of as many counts has the same interval: it is worked once. */
const known = new Map<string, StridesInLane>();
const MOST_KNOWN = 500;

function fromWholeCounts(counts: readonly number[]): StridesInLane {
  const k = counts.length;
  const sum = counts.reduce((a, b) => a + b, 0);
  const key = `${sum} ${k}`;
  const before = known.get(key);
  if (before) return before;
  const alike = sameEveryTime(sum, k);
  const strides = {
    mean: sum / k,
    low: Math.min(
      alike.low,
      boundOf(sum / k, low => chanceOfAtLeast(sum, k, low), -1),
    ),
    high: Math.max(
      alike.high,
      boundOf(sum / k, high => 1 - chanceOfAtLeast(sum + 1, k, high), 1),
    ),
  };
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, strides);
  return strides;
}

/** The interval of strides that do not vary: x strides are counted ⌊x⌋ or ⌊x⌋ + 1 times, so the counts are binomial. */
function sameEveryTime(sum: number, k: number): { low: number; high: number } {
  const n = Math.floor(sum / k);
  const j = sum - k * n;
  return {
    low: j === 0 ? n - 1 + TAIL ** (1 / k) : n + betaInverse(TAIL, j, k - j + 1),
    high: n + betaInverse(1 - TAIL, j + 1, k - j),
  };
}

/** The chance that k passes through a lane of so many strides, varying by 4 %, come to this sum and more. */
function chanceOfAtLeast(sum: number, k: number, strides: number): number {
  const chances = sumChances(countChances(strides, PASS_SPREAD), k);
  return chances.chances.reduce((all, chance, index) => all + (chances.from + index >= sum ? chance : 0), 0);
}

const HALVINGS = 40;

/** How far down or up the strides can be before the chance of what was counted falls under the tail. */
function boundOf(mean: number, chance: (strides: number) => number, way: 1 | -1): number {
  // What is counted is at most a stride off what there is, and that varies by a few times 4 % at most.
  let [held, out] = [mean, way < 0 ? Math.max(0.05, 0.7 * mean - 1.5) : 1.4 * mean + 1.5];
  for (let step = 0; step < HALVINGS; step += 1) {
    const middle = (held + out) / 2;
    if (chance(middle) >= TAIL) held = middle;
    else out = middle;
  }
  return held;
}

function fromMeasured(measured: readonly number[]): StridesInLane {
  const k = measured.length;
  const mean = measured.reduce((sum, strides) => sum + strides, 0) / k;
  // An error anywhere within a quarter either way has a standard deviation of a quarter ÷ √3; each pass has two of them.
  const reading = PART_ERROR * Math.sqrt(2 / 3);
  const half = (Z_95 * Math.hypot(PASS_SPREAD * mean, reading)) / Math.sqrt(k);
  return { mean, low: mean - half, high: mean + half };
}

/** The stride that strides in a lane come to: its length ÷ their number, metres. */
export function strideOfLane(
  lengthM: number,
  { mean, low, high }: StridesInLane,
): { strideM: number } & StrideInterval {
  if (!(lengthM > 0 && lengthM < Infinity)) throw new RangeError(`strideOfLane: lengthM ${lengthM}`);
  // Fewer than half a stride in the lane says nothing about how long it may be.
  return { strideM: lengthM / mean, lowM: lengthM / high, highM: lengthM / Math.max(low, 0.5) };
}
