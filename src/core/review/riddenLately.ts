import type { StrideEntryKey } from '../horse/strideEntry';
import type { LayoutHorse } from '../layout/layout';
import { offeredStride, type StrideReview } from './strideReview';

/** What a horse’s record says of a stride as it is now: the likeliest, where it lies 95 times in 100, on how many days. */
export type RiddenLately = { entry: StrideEntryKey; strideM: number; lowM: number; highM: number; days: number };

/** Nothing is told from fewer legs or days (as in the review). */
const LEAST_LEGS = 8;
const LEAST_DAYS = 3;

/** What a review of a stride says of it as it is now; null from too little. */
export function riddenLately(review: StrideReview): RiddenLately | null {
  const { strideM, lowM, highM } = offeredStride(review);
  const { legs, days } = review.learned;
  if (legs < LEAST_LEGS || days < LEAST_DAYS) return null;
  return { entry: review.entry, strideM, lowM, highM, days };
}

/** A horse with its strides as they were ridden lately: short and long go with them. */
export function asRidden(horse: LayoutHorse, lately: readonly RiddenLately[]): LayoutHorse {
  const strides = { ...horse.strides };
  for (const { entry, strideM } of lately) {
    const known = strides[entry];
    if (!known) continue;
    const share = strideM / known.normalM;
    strides[entry] = { ...known, shortM: known.shortM * share, normalM: strideM, longM: known.longM * share };
  }
  return { ...horse, strides };
}
