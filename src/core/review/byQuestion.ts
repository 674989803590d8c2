import { blockedDifference } from '../statistics/blockedDifference';
import type { Share } from '../statistics/proportions';
import { excessHits, stratifiedExact, type Stratum } from '../statistics/stratifiedExact';

/** Something of each question, by its key. */
export type ByQuestion<Value> = ReadonlyMap<string, Value>;

/** Two sides in one thing, of the questions that both rode: sums, how many hits one has over the other, and by chance. */
export type Compared = { a: Share; b: Share; excess: number; p: number; strata: readonly Stratum[] };

/** Compares each question with itself: what only one side rode says nothing of the other. */
export function comparedByQuestion(a: ByQuestion<Share>, b: ByQuestion<Share>): Compared {
  const strata = [...a].flatMap(([key, share]) => {
    const other = b.get(key);
    return other && share.of > 0 && other.of > 0 ? [{ a: share, b: other }] : [];
  });
  const summed = (side: 'a' | 'b'): Share =>
    strata.reduce((sum, one) => ({ of: sum.of + one[side].of, hits: sum.hits + one[side].hits }), { of: 0, hits: 0 });
  return { a: summed('a'), b: summed('b'), excess: excessHits(strata), p: stratifiedExact(strata), strata };
}

/** How far one side is marked above the other, each question compared with itself; null where nothing tells. */
export function differenceByQuestion(
  a: ByQuestion<readonly number[]>,
  b: ByQuestion<readonly number[]>,
): ReturnType<typeof blockedDifference> {
  return blockedDifference([...a].map(([key, own]) => ({ a: own, b: b.get(key) ?? [] })));
}
