import {
  STRIDE_ENTRY_KEYS,
  type HorseLevel,
  type HorseProfile,
  type HorseType,
  type Rein,
  type ProfileStride,
  type StrideEntryKey,
} from '@/core';
import { and, asc, eq, gt, isNull, lte, or } from 'drizzle-orm';
import { z } from 'zod';
import { onceARequest } from '../onceARequest';
import type { RoanDatabase } from '../database';
import { horses, strideRanges } from '../schema';
import { formerAt, formerStatesOf } from './formerStates';

export type Horse = HorseProfile & {
  id: string;
  name: string;
  bornYear: number | null;
  level: HorseLevel;
  stiffSide: Rein | null;
  notes: string;
  archived: boolean;
};

const Entry = z.enum(STRIDE_ENTRY_KEYS);

/** What a horse is, apart from its strides. */
const COLUMNS = {
  id: horses.id,
  name: horses.name,
  heightM: horses.heightM,
  type: horses.type,
  bornYear: horses.bornYear,
  level: horses.level,
  stiffSide: horses.stiffSide,
  notes: horses.notes,
  archivedAt: horses.archivedAt,
};

/** A stride of the profile as it was known on a day. */
export type DatedStride = ProfileStride & { id: string; entry: StrideEntryKey; testId: string | null; sinceMs: number };

/**
 * All strides that stand, earliest first.
 * @param atMs - those that stood then, whatever was learned or withdrawn since; now where it is left out
 */
async function listRanges(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  atMs?: number,
): Promise<Map<string, DatedStride[]>> {
  const then = atMs === undefined ? null : new Date(atMs);
  const stands =
    then === null
      ? isNull(strideRanges.withdrawnAt)
      : and(
          lte(strideRanges.createdAt, then),
          or(isNull(strideRanges.withdrawnAt), gt(strideRanges.withdrawnAt, then)),
        );
  const rows = await db
    .select()
    .from(strideRanges)
    .where(and(eq(strideRanges.yardId, yardId), stands))
    .orderBy(asc(strideRanges.createdAt));
  const byHorse = new Map<string, DatedStride[]>();
  for (const row of rows) byHorse.set(row.horseId, [...(byHorse.get(row.horseId) ?? []), datedStride(row)]);
  return byHorse;
}

function datedStride(row: typeof strideRanges.$inferSelect): DatedStride {
  const { id, shortM, normalM, longM, source, lowM, highM, spread, testId, createdAt } = row;
  const interval = lowM === null || highM === null ? {} : { interval: { lowM, highM } };
  const found = spread === null ? {} : { spread };
  const stride = { id, shortM, normalM, longM, source, testId, ...interval, ...found };
  return { ...stride, entry: Entry.parse(row.entry), sinceMs: createdAt.getTime() };
}

/** What counts of an entry: the newest that was typed in, which nothing overwrites; else the newest test or record. */
function standing(ranges: readonly DatedStride[]): Horse['strides'] {
  const strides: Horse['strides'] = {};
  for (const { entry, shortM, normalM, longM, source, interval, spread } of ranges) {
    if (source !== 'typed' && strides[entry]?.source === 'typed') continue;
    strides[entry] = {
      ...{ shortM, normalM, longM, source },
      ...(interval ? { interval } : {}),
      ...(spread === undefined ? {} : { spread }),
    };
  }
  return strides;
}

/** All horses of a yard with their own strides, archived ones among them. */
export const listHorses = onceARequest(async (db: Pick<RoanDatabase, 'select'>, yardId: string): Promise<Horse[]> => {
  const rows = await db
    .select(COLUMNS)
    .from(horses)
    .where(eq(horses.yardId, yardId))
    .orderBy(asc(horses.heightM), asc(horses.name));
  const ranges = await listRanges(db, yardId);
  return rows.map(({ archivedAt, ...horse }) => ({
    ...horse,
    archived: archivedAt !== null,
    strides: standing(ranges.get(horse.id) ?? []),
  }));
});

const Former = z.object({ heightM: z.number(), type: z.string() });

/** The horses of a yard as they were known at an instant: their heights, and the strides that stood then. */
export async function horsesAt(db: Pick<RoanDatabase, 'select'>, yardId: string, atMs: number): Promise<Horse[]> {
  const today = await listHorses(db, yardId);
  const ranges = await listRanges(db, yardId, atMs);
  const former = await formerAt(db, yardId, 'horse', atMs);
  return today.map(horse => {
    const was = Former.safeParse(former.get(horse.id));
    const own = was.success ? { heightM: was.data.heightM, type: was.data.type as HorseType } : {};
    return { ...horse, ...own, strides: standing(ranges.get(horse.id) ?? []) };
  });
}

/**
 * A horse as it was known at any instant: its height, and the strides that stood then. Between two changes it is the same
 * profile, made once. `key`: another whenever one of them is.
 */
export async function horseOverTime(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  horse: Horse,
): Promise<{ profileAt: (atMs: number) => HorseProfile; key: string }> {
  const rows = await db
    .select()
    .from(strideRanges)
    .where(and(eq(strideRanges.yardId, yardId), eq(strideRanges.horseId, horse.id)))
    .orderBy(asc(strideRanges.createdAt));
  const former = (await formerStatesOf(db, yardId, 'horse', horse.id)).flatMap(({ was, untilMs }) => {
    const read = Former.safeParse(was);
    return read.success ? [{ untilMs, heightM: read.data.heightM, type: read.data.type as HorseType }] : [];
  });
  const instants = [
    ...rows.flatMap(({ createdAt, withdrawnAt }) => [
      createdAt.getTime(),
      withdrawnAt?.getTime() ?? createdAt.getTime(),
    ]),
    ...former.map(({ untilMs }) => untilMs),
  ].sort((a, b) => a - b);
  const known = new Map<number, HorseProfile>();
  const profileAt = (atMs: number) => {
    const period = instants.findLastIndex(instant => instant <= atMs);
    const before = known.get(period);
    if (before) return before;
    const then = rows.filter(
      ({ createdAt, withdrawnAt }) =>
        createdAt.getTime() <= atMs && (withdrawnAt === null || withdrawnAt.getTime() > atMs),
    );
    const { heightM, type } = former.find(({ untilMs }) => atMs < untilMs) ?? horse;
    const profile = { heightM, type, strides: standing(then.map(datedStride)) };
    known.set(period, profile);
    return profile;
  };
  return { profileAt, key: JSON.stringify([horse.heightM, horse.type, rows, former]) };
}

/** Every stride of a horse that stands, with when it came to be known. */
export async function strideHistory(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  horseId: string,
): Promise<DatedStride[]> {
  return (await listRanges(db, yardId)).get(horseId) ?? [];
}

export async function findHorse(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  horseId: string,
): Promise<Horse | null> {
  return (await listHorses(db, yardId)).find(horse => horse.id === horseId) ?? null;
}
