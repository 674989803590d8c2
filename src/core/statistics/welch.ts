import { betaCdf } from './betaDistribution';
import { mean, standardDeviation } from './moments';

/** The difference of two means, and how likely as much is by chance alone. */
export type MeanDifference = { difference: number; p: number };

/**
 * Two means compared without taking their spreads as alike (Welch 1947, Biometrika 34:28-35; from memory).
 * @returns null for fewer than two values on a side, or where neither side varies
 */
export function welch(a: readonly number[], b: readonly number[]): MeanDifference | null {
  if (a.length < 2 || b.length < 2) return null;
  const [va, vb] = [standardDeviation(a) ** 2 / a.length, standardDeviation(b) ** 2 / b.length];
  const difference = mean(a) - mean(b);
  if (va + vb === 0) return null;
  const t = difference / Math.sqrt(va + vb);
  const degrees = (va + vb) ** 2 / (va ** 2 / (a.length - 1) + vb ** 2 / (b.length - 1));
  return { difference, p: betaCdf(degrees / (degrees + t ** 2), degrees / 2, 0.5) };
}
