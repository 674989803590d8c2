import { wilsonInterval } from './proportions';
import type { Stratum } from './stratifiedExact';

/** The difference of two shares, the first less the second, and where it lies 95 times in 100. */
export type Difference = { difference: number; low: number; high: number };

/**
 * The difference of two shares where like is compared with like alone: that of each stratum, weighed by how much it tells (Mantel and
 * Haenszel 1959, J. Natl. Cancer Inst. 22:719-748), and its interval from Wilson's limits of every share (Zou, Huang and Zhang 2009,
 * Comput. Stat. Data Anal. 53:1080-1085; both from memory). For one stratum it is Newcombe's (1998, Stat. Med. 17:873-890, method 10).
 * @returns null where no stratum has tries on both sides
 * @throws {RangeError} counts that are not whole, or more hits than tries
 */
export function stratifiedDifference(strata: readonly Stratum[]): Difference | null {
  const telling = strata.filter(({ a, b }) => a.of > 0 && b.of > 0);
  const weightOf = ({ a, b }: Stratum) => (a.of * b.of) / (a.of + b.of);
  const all = telling.reduce((sum, one) => sum + weightOf(one), 0);
  if (all === 0) return null;
  let [difference, below, above] = [0, 0, 0];
  for (const stratum of telling) {
    const weight = weightOf(stratum) / all;
    const [p, q] = [stratum.a.hits / stratum.a.of, stratum.b.hits / stratum.b.of];
    const [own, other] = [wilsonInterval(stratum.a), wilsonInterval(stratum.b)];
    difference += weight * (p - q);
    below += weight ** 2 * ((p - own.low) ** 2 + (other.high - q) ** 2);
    above += weight ** 2 * ((own.high - p) ** 2 + (q - other.low) ** 2);
  }
  return { difference, low: difference - Math.sqrt(below), high: difference + Math.sqrt(above) };
}
