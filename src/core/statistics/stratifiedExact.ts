import { checkShare, fisherExact, logChoose, type Share } from './proportions';

/** Two shares of one stratum: what is compared within it is alike in all else. */
export type Stratum = { a: Share; b: Share };

/** Tables as likely as the one seen, but for rounding. */
const AS_LIKELY = 1 + 1e-7;
/** So much less likely than the likeliest, and a number of hits is left out of the sum. */
const NEGLIGIBLE = 1e-18;

/**
 * How likely two shares as different as these, or more so, are when there is no difference within any stratum: the exact test
 * of the sum of the hits of one side, given the margins of every stratum; two-sided (Mantel and Haenszel 1959, J. Natl. Cancer
 * Inst. 22:719-748, with the exact distribution in place of the normal one; from memory). For one stratum it is Fisher's.
 * @throws {RangeError} counts that are not whole, or more hits than tries
 */
export function stratifiedExact(strata: readonly Stratum[]): number {
  for (const side of strata.flatMap(({ a, b }) => [a, b])) checkShare(side);
  const telling = strata.filter(isTelling);
  if (telling.length === 0) return 1;
  if (telling.length === 1) return fisherExact(telling[0]!.a, telling[0]!.b);
  const chances = telling.map(hitsOfA).reduce(together);
  const seen = chances.of[telling.reduce((sum, { a }) => sum + a.hits, 0) - chances.from] ?? 0;
  const all = chances.of.reduce((sum, one) => sum + one, 0);
  return Math.min(1, chances.of.reduce((sum, one) => (one <= seen * AS_LIKELY ? sum + one : sum), 0) / all);
}

/**
 * By how many hits one side is over what its strata would give it: above 0 where it has more.
 */
export function excessHits(strata: readonly Stratum[]): number {
  return strata.reduce((sum, { a, b }) => {
    const of = a.of + b.of;
    return of === 0 ? sum : sum + a.hits - (a.of * (a.hits + b.hits)) / of;
  }, 0);
}

/** Where one side has no tries, or all went alike, a stratum says nothing. */
function isTelling({ a, b }: Stratum): boolean {
  const hits = a.hits + b.hits;
  return a.of > 0 && b.of > 0 && hits > 0 && hits < a.of + b.of;
}

/** How likely each number of hits is, from the first one on. */
type Chances = { from: number; of: number[] };

/** Of one stratum, given its margins: hypergeometric. */
function hitsOfA({ a, b }: Stratum): Chances {
  const hits = a.hits + b.hits;
  const [least, most] = [Math.max(0, hits - b.of), Math.min(a.of, hits)];
  const logAll = logChoose(a.of + b.of, hits);
  const of = Array.from({ length: most - least + 1 }, (_, more) =>
    Math.exp(logChoose(a.of, least + more) + logChoose(b.of, hits - least - more) - logAll),
  );
  return trimmed({ from: least, of });
}

/** Of two independent numbers of hits, added. */
function together(one: Chances, other: Chances): Chances {
  const of = new Array<number>(one.of.length + other.of.length - 1).fill(0);
  one.of.forEach((chance, i) => {
    other.of.forEach((also, j) => {
      of[i + j]! += chance * also;
    });
  });
  return trimmed({ from: one.from + other.from, of });
}

function trimmed({ from, of }: Chances): Chances {
  const least = Math.max(...of) * NEGLIGIBLE;
  const first = of.findIndex(chance => chance >= least);
  const last = of.findLastIndex(chance => chance >= least);
  return { from: from + first, of: of.slice(first, last + 1) };
}
