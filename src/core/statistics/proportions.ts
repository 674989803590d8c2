import { normalCdf } from '../stride/normalCdf';
import { logGamma } from './logGamma';

/** So many of so many. */
export type Share = { of: number; hits: number };

/** @throws {RangeError} counts that are not whole, or more hits than tries */
export function checkShare({ of, hits }: Share): void {
  if (!(Number.isInteger(of) && Number.isInteger(hits) && hits >= 0 && of >= hits))
    throw new RangeError(`a share of ${hits} in ${of}`);
}

/** The two-sided 97.5 % point of the normal distribution. */
export const Z95 = 1.959963984540054;

/**
 * Where the true share lies, 95 times in 100 (Wilson 1927, J. Am. Stat. Assoc. 22:209-212; from memory).
 * @throws {RangeError} counts that are not whole, or more hits than tries
 */
export function wilsonInterval(share: Share): { low: number; high: number } {
  checkShare(share);
  const { of, hits } = share;
  if (of === 0) return { low: 0, high: 1 };
  const p = hits / of;
  const middle = (p + Z95 ** 2 / (2 * of)) / (1 + Z95 ** 2 / of);
  const half = (Z95 / (1 + Z95 ** 2 / of)) * Math.sqrt((p * (1 - p)) / of + Z95 ** 2 / (4 * of ** 2));
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

/** The logarithm of how many ways there are to take so many of so many. */
export const logChoose = (n: number, k: number) => logGamma(n + 1) - logGamma(k + 1) - logGamma(n - k + 1);

/** Tables as likely as the one seen, but for rounding. */
const AS_LIKELY = 1 + 1e-7;

/**
 * How likely two shares as different as these, or more so, are when there is no difference: Fisher's exact test,
 * two-sided (Fisher 1935, The Design of Experiments; from memory).
 * @throws {RangeError} counts that are not whole, or more hits than tries
 */
export function fisherExact(a: Share, b: Share): number {
  checkShare(a);
  checkShare(b);
  const hits = a.hits + b.hits;
  const logAll = logChoose(a.of + b.of, hits);
  const chance = (inA: number) => Math.exp(logChoose(a.of, inA) + logChoose(b.of, hits - inA) - logAll);
  const seen = chance(a.hits);
  let p = 0;
  for (let inA = Math.max(0, hits - b.of); inA <= Math.min(a.of, hits); inA += 1) {
    const one = chance(inA);
    if (one <= seen * AS_LIKELY) p += one;
  }
  return Math.min(1, p);
}

/**
 * The chance of so many or more where so many are expected (Poisson).
 * @throws {RangeError} a count that is not whole, or an expectation that is negative or not finite
 */
export function poissonAtLeast(count: number, expected: number): number {
  if (!(Number.isInteger(count) && count >= 0 && expected >= 0 && expected < Infinity))
    throw new RangeError(`poissonAtLeast(${count}, ${expected})`);
  if (count === 0) return 1;
  if (expected === 0) return 0;
  let below = 0;
  for (let k = 0; k < count; k += 1) below += Math.exp(k * Math.log(expected) - expected - logGamma(k + 1));
  return Math.max(0, 1 - below);
}

/** The chance of a normal deviate as far from 0 as this, either side. */
export function normalTwoSided(z: number): number {
  return 2 * normalCdf(-Math.abs(z));
}
