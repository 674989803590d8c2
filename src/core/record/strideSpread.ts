import { PASS_SPREAD, type CountedPass } from './strideInterval';

/** Common practice, no source: as many passes as this have to speak before a horse's own spread outweighs the usual one. */
const PRIOR_PASSES = 10;
const LEAST_SPREAD = 0.01;
const MOST_SPREAD = 0.12;

/**
 * How much a horse's stride varies from pass to pass, a share of it, from the whole-number counts of a test. Counts vary by
 * themselves, since the first foot lands anywhere; what they vary by beyond that is the horse's own. Few passes say little
 * of a variance, so it is weighed against the usual 4 % as if ten passes had found that (a conjugate prior; its weight
 * common practice, no source).
 * @returns 4 % for fewer than two passes; otherwise 1 % to 12 %
 * @throws {RangeError} counts that are not whole and at least 1
 */
export function strideSpread(passes: readonly Pick<CountedPass, 'count'>[]): number {
  const counts = passes.map(({ count }) => count);
  if (!counts.every(count => Number.isInteger(count) && count >= 1))
    throw new RangeError(`strideSpread: counts ${counts.join(', ')}`);
  const freedom = counts.length - 1;
  if (freedom < 1) return PASS_SPREAD;
  const mean = counts.reduce((a, b) => a + b, 0) / counts.length;
  const variance = counts.reduce((sum, count) => sum + (count - mean) ** 2, 0) / freedom;
  const own = ownVariance(mean, variance) / mean ** 2;
  const weighed = (PRIOR_PASSES * PASS_SPREAD ** 2 + freedom * own) / (PRIOR_PASSES + freedom);
  return Math.min(MOST_SPREAD, Math.max(LEAST_SPREAD, Math.sqrt(weighed)));
}

const HALVINGS = 40;

/**
 * The variance v of the strides in the lane behind counts of this mean and variance: v + countedVariance(mean, v), which grows
 * with v (its slope is a wrapped normal density), is what is seen. 0 where the counts vary by no more than they must.
 */
function ownVariance(mean: number, variance: number): number {
  let [low, high] = [0, variance];
  for (let step = 0; step < HALVINGS; step += 1) {
    const middle = (low + high) / 2;
    if (middle + countedVariance(mean, middle) > variance) high = middle;
    else low = middle;
  }
  return low;
}

const TERMS = 60;

/**
 * What whole-number counting adds to the variance. A lane of x strides is counted ⌊x⌋ or ⌊x⌋ + 1 times, which varies by
 * f(1 − f), f the fraction of x; over a normal x that is its Fourier series, 1/6 − Σ cos(2πnμ)·e^(−2π²n²v)/(π²n²).
 */
function countedVariance(mean: number, variance: number): number {
  let sum = 1 / 6;
  for (let n = 1; n <= TERMS; n += 1)
    sum -= (Math.cos(2 * Math.PI * n * mean) * Math.exp(-2 * Math.PI ** 2 * n ** 2 * variance)) / (Math.PI * n) ** 2;
  return sum;
}
