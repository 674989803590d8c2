import 'server-only';
import { profileStride, strideReviews, type ReviewPass, type StrideEntryKey } from '@/core';
import type { Horse } from '@/data/queries/horses';

/** The stride a horse goes by: what its passes point to where they say enough, else that of its profile. */
export function goesBy(horse: Horse, own: readonly ReviewPass[]) {
  const thought = (entry: StrideEntryKey) => profileStride(horse, entry)?.normalM ?? null;
  const spreadOf = (entry: StrideEntryKey) => profileStride(horse, entry)?.spread;
  const reviews = strideReviews(own, thought, spreadOf);
  const learned = new Map(reviews.map(review => [review.entry, review.learned.strideM]));
  return (entry: StrideEntryKey) => learned.get(entry) ?? thought(entry);
}
