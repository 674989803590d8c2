import type { StrideInterval } from '../horse/strideProfile';
import { betaInverse } from '../statistics/betaDistribution';

/** Common practice, no source: how much a horse's stride differs from pass to pass, as a share of it. */
export const PASS_SPREAD = 0.04;
/** Common practice, no source: a part of a stride at the finish is read to a quarter, either way. */
const PART_ERROR = 0.25;
const Z_95 = 1.96;

/** One pass through the lane: whole strides, and the part of one at the finish where it was noted. */
export type CountedPass = { count: number; part: number | null };

/** What the strides of a lane come to: the mean, and where the true number lies, 95 times in 100. */
export type StridesInLane = { mean: number; low: number; high: number };

/**
 * How many strides of the horse a lane holds, from whole-number counts of a foot that lands anywhere at the start.
 * With k passes, sum S, n = ⌊S/k⌋ and j = S − k·n: the lower bound is n + B⁻¹(0.025; j, k − j + 1), or
 * n − 1 + 0.025^(1/k) for j = 0, the upper one n + B⁻¹(0.975; j + 1, k − j), with B⁻¹ the inverse of the beta
 * distribution; widened in quadrature by the horse's own variation of 4 %, and clipped to what whole counts can mean:
 * one less than the fewest, one more than the most. Where every pass notes its part, the part takes the place of that.
 * @throws {RangeError} no passes, or counts that are not whole and at least 1
 */
export function stridesInLane(passes: readonly CountedPass[]): StridesInLane {
  const counts = passes.map(({ count }) => count);
  if (passes.length === 0 || !counts.every(count => Number.isInteger(count) && count >= 1))
    throw new RangeError(`stridesInLane: counts ${counts.join(', ')}`);
  const parts = passes.flatMap(({ part }) => part ?? []);
  return parts.length === passes.length ? fromParts(counts, parts) : fromWholeCounts(counts);
}

function fromWholeCounts(counts: readonly number[]): StridesInLane {
  const k = counts.length;
  const sum = counts.reduce((a, b) => a + b, 0);
  const mean = sum / k;
  const n = Math.floor(mean);
  const j = sum - k * n;
  const low = j === 0 ? n - 1 + 0.025 ** (1 / k) : n + betaInverse(0.025, j, k - j + 1);
  const high = n + betaInverse(0.975, j + 1, k - j);
  const own = ownVariation(mean, k);
  return {
    mean,
    low: Math.max(Math.min(...counts) - 1, mean - Math.hypot(mean - low, own)),
    high: Math.min(Math.max(...counts) + 1, mean + Math.hypot(high - mean, own)),
  };
}

function fromParts(counts: readonly number[], parts: readonly number[]): StridesInLane {
  const k = counts.length;
  const mean = counts.reduce((sum, count, index) => sum + count + parts[index]!, 0) / k;
  // An error anywhere within a quarter either way has a standard deviation of a quarter ÷ √3.
  const reading = (Z_95 * PART_ERROR) / Math.sqrt(3) / Math.sqrt(k);
  const half = Math.hypot(ownVariation(mean, k), reading);
  return { mean, low: mean - half, high: mean + half };
}

function ownVariation(mean: number, passes: number): number {
  return (Z_95 * PASS_SPREAD * mean) / Math.sqrt(passes);
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
