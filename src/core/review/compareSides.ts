import type { StrideEntryKey } from '../horse/strideEntry';
import { holm } from '../statistics/holm';
import { normalTwoSided, Z95, type Share } from '../statistics/proportions';
import { comparedByQuestion, differenceByQuestion } from './byQuestion';
import type { LearnedStride } from './learnStride';
import { MEASURES } from './measures';
import { qualities } from './reinReview';
import { grouped, type ReviewPass } from './reviewPass';
import { strideReviews } from './strideReview';

/** What two sides have in common, so that like is held against like: the finest of these that both rode. */
export type LikeWithLike = 'pair and question' | 'question' | 'pair' | 'nothing';

/** A share of each side. `holds`: beyond chance, over all that was looked at together. */
export type ComparedShare = { measure: string; a: Share; b: Share; excess: number; p: number; holds: boolean };
export type ComparedQuality = { difference: number; values: number; p: number; holds: boolean };
export type ComparedStride = { entry: StrideEntryKey; a: LearnedStride; b: LearnedStride; p: number; holds: boolean };

export type Comparison = {
  like: LikeWithLike;
  /** How many passes of each side have something like them on the other. */
  passes: { a: number; b: number };
  shares: ComparedShare[];
  quality: ComparedQuality | null;
  strides: ComparedStride[];
  /** How many tests were made. */
  looks: number;
};

/** Nothing is compared of fewer passes on a side than this. */
export const LEAST_COMPARED = 8;

const KEYS: [LikeWithLike, (pass: ReviewPass) => string][] = [
  ['pair and question', ({ pairId, key }) => `${pairId} ${key}`],
  ['question', ({ key }) => key],
  ['pair', ({ pairId }) => pairId],
  ['nothing', () => ''],
];

/**
 * Holds two sides against each other in all that is marked, like with like, and tells what is beyond chance over all of it
 * (Holm). Null where a side has fewer than 8 passes: that is too little to say anything of.
 * @param thoughtM - the stride a side's horse is thought to have, by entry; null where a side is of several horses, or unknown
 */
export function compareSides(
  a: readonly ReviewPass[],
  b: readonly ReviewPass[],
  thoughtM: Record<'a' | 'b', (entry: StrideEntryKey) => number | null>,
): Comparison | null {
  if (Math.min(a.length, b.length) < LEAST_COMPARED) return null;
  const { like, inA, inB, keyOf } = alike(a, b);
  const [ofA, ofB] = [grouped(inA, keyOf), grouped(inB, keyOf)];
  const shares = MEASURES.flatMap(({ measure, of }) => {
    const { a: left, b: right, excess, p } = comparedByQuestion(summed(ofA, of), summed(ofB, of));
    return Math.min(left.of, right.of) < LEAST_COMPARED ? [] : [{ measure, a: left, b: right, excess, p }];
  });
  const marks = (side: Map<string, ReviewPass[]>) => new Map([...side].map(([key, own]) => [key, qualities(own)]));
  const quality = differenceByQuestion(marks(ofA), marks(ofB));
  const counted = quality && quality.values >= 2 * LEAST_COMPARED ? quality : null;
  // A stride is the horse's own, whatever it was ridden over: all of a side tells of it.
  const strides = stridesApart(a, b, thoughtM);
  const holds = holm([...shares, ...(counted ? [counted] : []), ...strides].map(({ p }) => p));
  const strideAt = shares.length + (counted ? 1 : 0);
  return {
    ...{ like, passes: { a: inA.length, b: inB.length }, looks: holds.length },
    shares: shares.map((one, index) => ({ ...one, holds: holds[index]! })),
    quality: counted && { ...counted, holds: holds[shares.length]! },
    strides: strides.map((one, index) => ({ ...one, holds: holds[strideAt + index]! })),
  };
}

/** The passes of each side that have their like on the other, by the finest key that leaves enough of both. */
function alike(a: readonly ReviewPass[], b: readonly ReviewPass[]) {
  for (const [like, keyOf] of KEYS) {
    const [ofA, ofB] = [new Set(a.map(keyOf)), new Set(b.map(keyOf))];
    const inA = a.filter(pass => ofB.has(keyOf(pass)));
    const inB = b.filter(pass => ofA.has(keyOf(pass)));
    if (Math.min(inA.length, inB.length) >= LEAST_COMPARED) return { like, inA, inB, keyOf };
  }
  throw new RangeError(`alike: ${a.length} and ${b.length} passes`);
}

function summed(side: Map<string, ReviewPass[]>, of: (pass: ReviewPass) => Share): Map<string, Share> {
  const add = (sum: Share, one: Share): Share => ({ of: sum.of + one.of, hits: sum.hits + one.hits });
  return new Map([...side].map(([key, own]) => [key, own.map(of).reduce(add, { of: 0, hits: 0 })]));
}

function stridesApart(
  a: readonly ReviewPass[],
  b: readonly ReviewPass[],
  thoughtM: Record<'a' | 'b', (entry: StrideEntryKey) => number | null>,
): Omit<ComparedStride, 'holds'>[] {
  const ofB = new Map(strideReviews(b, thoughtM.b).map(({ entry, learned }) => [entry, learned]));
  return strideReviews(a, thoughtM.a).flatMap(({ entry, learned }) => {
    const other = ofB.get(entry);
    const error = other ? Math.hypot(halfM(learned), halfM(other)) / Z95 : 0;
    if (!other || error === 0) return [];
    return [{ entry, a: learned, b: other, p: normalTwoSided((learned.strideM - other.strideM) / error) }];
  });
}

const halfM = ({ lowM, highM }: LearnedStride) => (highM - lowM) / 2;
