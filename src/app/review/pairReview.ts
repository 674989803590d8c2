import 'server-only';
import { pairRecord } from '@/data/queries/pairRecord';
import type { Pair } from '@/data/queries/pairs';
import { versionsRidden } from '@/data/queries/passes';
import { yardRules } from '@/data/queries/settings';
import { yardContext } from '../_server/yardContext';
import { yardClock } from '../_server/yardTime';
import { reviewWords } from './reviewWords';

/** Legs that are ridden most often are shown; the numbers have all of them. */
export const SHOWN_LEGS = 8;

/** All that the record says of a pair, with the names and rules of the yard. */
export async function pairReview(pair: Pair) {
  const { db, yard, unit } = await yardContext();
  const words = reviewWords(pair.horseName, unit);
  const record = await pairRecord(db, yard.id, pair, yardClock(yard.timeZone), words);
  const versionIds = [...new Set(record.legs.map(({ layoutVersionId }) => layoutVersionId))];
  const names = await versionsRidden(db, yard.id, versionIds);
  return {
    ...{ ...record, words, rules: await yardRules(db, yard.id) },
    legs: record.legs.map(leg => ({
      ...leg,
      name: `${leg.question}, ${leg.from} to ${leg.to}, ${words.format(leg.groundM)}${leg.asked === null ? '' : `, ${leg.asked} asked`}`,
      layoutName: names.get(leg.layoutVersionId)?.name ?? '',
    })),
  };
}

export type PairReview = Awaited<ReturnType<typeof pairReview>>;
