import type { StrideRange } from '../horse/strideEntry';

/** What a distance is called for a count, from the tightest to the longest. */
export type StrideWord = 'too tight' | 'short' | 'quiet' | 'easy' | 'forward' | 'long' | 'too far';

export const STRIDE_WORDS: readonly StrideWord[] = [
  'too tight',
  'short',
  'quiet',
  'easy',
  'forward',
  'long',
  'too far',
];

/** What lies within this of a bound is on it: 0.97 reckoned is a hair off 0.97 written. */
const ROUNDING = 1e-9;

/**
 * The word for q = needed stride ÷ normal stride, within what this horse can do (common practice, no source).
 * The horse's own limits come first: below its shortest is too tight, above its longest too far.
 * @param q - finite, ≥ 0
 * @throws {RangeError} a q outside those bounds
 */
export function strideWord(q: number, range: StrideRange): StrideWord {
  if (!(q >= 0 && q < Infinity)) throw new RangeError(`strideWord(${q})`);
  if (q < range.shortM / range.normalM - ROUNDING) return 'too tight';
  if (q > range.longM / range.normalM + ROUNDING) return 'too far';
  if (q < 0.92 - ROUNDING) return 'short';
  if (q < 0.97 - ROUNDING) return 'quiet';
  if (q <= 1.03 + ROUNDING) return 'easy';
  return q <= 1.08 + ROUNDING ? 'forward' : 'long';
}
