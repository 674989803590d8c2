import { createHash } from 'node:crypto';
import { deserialize, serialize } from 'node:v8';
import type { DayPass } from '@/core';
import { and, eq, inArray, sql } from 'drizzle-orm';
import type { RoanDatabase } from '../../database';
import { changedDays, keptBy, keptDays, keptSums, yards } from '../../schema';
import { dayPasses } from '../dayPasses';
import { recordRevision } from '../recordRevision';
import type { ReviewWish, YardClock } from '../reviewPasses';
import { keeperOf } from './findings';
import { madeBy } from './madeBy';

type Reader = Pick<RoanDatabase, 'select'>;

/**
 * What is reckoned of the passes of a yard.
 * @param name - what it is, "strides": the last of each name is kept
 * @param key - what else it depends on: profiles, units
 */
export type SumsWish = { of: ReviewWish; name: string; key: string };

/** What was reckoned or read, as long as the record is the same. The one asked for longest ago goes first. */
const known = new Map<string, { revision: string; key: string; value: unknown }>();
const MOST_KNOWN = 600;

/** What is larger is no sum: it is reckoned after every start rather than written after every lesson. */
const MOST_BYTES = 256 * 1024;

/** Days that were read anew are kept first, behind the answer; what was reckoned of them comes after. */
const BEHIND_MS = 400;

/**
 * What is reckoned of passes: from memory, from the store as long as no day of theirs changed since, or anew. Where it is kept no pass is
 * read for it, so that the first look after a start waits for no statistics.
 */
export async function sumsOf<Value>(
  db: Reader,
  yardId: string,
  clock: YardClock,
  wish: SumsWish,
  reckon: (passes: readonly DayPass[]) => Value | Promise<Value>,
): Promise<Value> {
  const own = `${yardId} ${clock.timeZone} ${wish.name}`;
  const revision = await recordRevision(db, yardId);
  const before = known.get(own);
  if (before?.revision === revision && before.key === wish.key) return before.value as Value;
  const stands = await standOf(db, yardId, clock, wish);
  const stored = stands === null ? null : await storedSums<Value>(db, yardId, wish.name, stands);
  const value = stored ? stored.value : await reckon(await dayPasses(db, yardId, wish.of, clock));
  known.delete(own);
  known.set(own, { revision, key: wish.key, value });
  if (known.size > MOST_KNOWN) known.delete(known.keys().next().value!);
  // Where it cannot be kept it is reckoned again after the next start.
  if (!stored) void keepBehind(db, yardId, clock, wish, { revision, value }).catch(() => undefined);
  return value;
}

/**
 * What sums stand for as long as it is the same: the days that they were reckoned from, by this Roan and this clock, and what else they
 * depend on; null where a day changed since it was kept.
 */
async function standOf(
  db: Reader,
  yardId: string,
  { timeZone }: YardClock,
  { of, key }: SumsWish,
): Promise<string | null> {
  const pairIds = of !== 'all' && 'pairIds' in of ? of.pairIds : null;
  const ofPairs = (days: typeof keptDays | typeof changedDays) =>
    and(eq(days.yardId, yardId), pairIds === null ? undefined : inArray(days.pairId, [...pairIds]));
  const [row] = await db
    .select({
      made: sql<string | null>`(select made_by from ${keptBy} where ${eq(keptBy.yardId, yardId)})`,
      changed: sql<number>`(select count(*) from ${changedDays} where ${ofPairs(changedDays)})`,
      last: sql<number | null>`(select max(no) from ${keptDays} where ${ofPairs(keptDays)})`,
    })
    .from(yards)
    .where(eq(yards.id, yardId));
  const made = `${madeBy()} ${timeZone}`;
  if (!row || row.changed > 0 || row.made !== made) return null;
  // What is written down is read by the same version of what wrote it.
  const stands = JSON.stringify([made, process.versions.v8, row.last, of, key]);
  return createHash('sha256').update(stands).digest('base64url');
}

async function storedSums<Value>(
  db: Reader,
  yardId: string,
  name: string,
  stands: string,
): Promise<{ value: Value } | null> {
  const ofName = and(eq(keptSums.yardId, yardId), eq(keptSums.name, name), eq(keptSums.stands, stands));
  const [row] = await db.select({ document: keptSums.document }).from(keptSums).where(ofName);
  if (!row) return null;
  try {
    return { value: deserialize(Buffer.from(row.document, 'base64')) as Value };
  } catch {
    // One that cannot be read is reckoned again.
    return null;
  }
}

async function keepBehind(
  db: Reader,
  yardId: string,
  clock: YardClock,
  wish: SumsWish,
  { revision, value }: { revision: string; value: unknown },
): Promise<void> {
  const keep = keeperOf(db);
  if (!keep) return;
  await new Promise(resolve => setTimeout(resolve, BEHIND_MS).unref());
  // What was read is what is kept by now, unless somebody taps: then the next look is kept.
  const stands = await standOf(db, yardId, clock, wish);
  if (stands === null || (await recordRevision(db, yardId)) !== revision) return;
  const bytes = serialize(value);
  if (bytes.length > MOST_BYTES) return;
  await keep({ what: 'sums', yardId, name: wish.name, stands, document: bytes.toString('base64') });
}
