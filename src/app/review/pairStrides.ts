import 'server-only';
import { profileStride, strideReviews, type ReviewPass, type StrideEntryKey } from '@/core';
import type { Horse } from '@/data/queries/horses';

/** The stride a horse goes by: what its passes point to where they say enough, else that of its profile. */
export function goesBy(horse: Horse, own: readonly ReviewPass[]) {
  const thought = (entry: StrideEntryKey) => profileStride(horse, entry)?.normalM ?? null;
  const learned = new Map(strideReviews(own, thought).map(review => [review.entry, review.learned.strideM]));
  return (entry: StrideEntryKey) => learned.get(entry) ?? thought(entry);
}
