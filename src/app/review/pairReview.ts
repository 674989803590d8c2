import 'server-only';
import {
  askedClaims,
  askedReview,
  faultClaims,
  faultCounts,
  legReviews,
  profileStride,
  qualityClaims,
  reinClaims,
  reinReview,
  riddenDays,
  strideClaims,
  strideReviews,
  type StrideEntryKey,
} from '@/core';
import { findHorse } from '@/data/queries/horses';
import type { Pair } from '@/data/queries/pairs';
import { versionsRidden } from '@/data/queries/passes';
import { reviewPasses } from '@/data/queries/reviewPasses';
import { yardRules } from '@/data/queries/settings';
import { yardContext } from '../_server/yardContext';
import { yardTime } from '../_server/yardTime';
import { reviewWords } from './reviewWords';

/** Legs that are ridden most often are shown; the numbers have all of them. */
export const SHOWN_LEGS = 8;

/** All that the record says of a pair. */
export async function pairReview(pair: Pair) {
  const { db, yard, unit } = await yardContext();
  const dayOf = (atMs: number) => yardTime(atMs, yard.timeZone, 'YYYY-MM-DD');
  const [passes, horse, rules] = await Promise.all([
    reviewPasses(db, yard.id, { pairIds: [pair.id] }, dayOf),
    findHorse(db, yard.id, pair.horseId),
    yardRules(db, yard.id),
  ]);
  if (!horse) throw new Error(`pairReview: no horse ${pair.horseId}`);
  const thought = (entry: StrideEntryKey) => profileStride(horse, entry)?.normalM ?? null;
  const words = reviewWords(pair.horseName, unit);
  const strides = strideReviews(passes, thought);
  const asked = askedReview(passes, thought);
  const faults = faultCounts(passes);
  const legs = legReviews(passes, thought);
  const names = await versionsRidden(db, yard.id, [...new Set(legs.map(({ layoutVersionId }) => layoutVersionId))]);
  return {
    ...{ passes, words, rules, strides, asked, faults },
    horse,
    legs: legs.map(leg => ({
      ...leg,
      name: `${leg.from} to ${leg.to}, ${words.format(leg.groundM)}${leg.asked === null ? '' : `, ${leg.asked} asked`}`,
      layoutName: names.get(leg.layoutVersionId)?.name ?? '',
    })),
    reins: reinReview(passes),
    days: riddenDays(passes),
    claims: [
      ...strideClaims(strides, thought, words),
      ...reinClaims(passes, words),
      ...qualityClaims(passes, words),
      ...askedClaims(asked, words),
      ...faultClaims(faults, passes.length, words),
    ],
  };
}

export type PairReview = Awaited<ReturnType<typeof pairReview>>;
