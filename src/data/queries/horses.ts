import { randomUUID } from 'node:crypto';
import {
  defaultStride,
  STRIDE_ENTRY_KEYS,
  type HorseProfile,
  type HorseType,
  type ProfileStride,
  type StrideEntryKey,
} from '@/core';
import { and, asc, eq, isNull } from 'drizzle-orm';
import { z } from 'zod';
import type { RoanDatabase } from '../openDatabase';
import { horses, strideRanges } from '../schema';
import type { Transaction } from '../writeQueue';

export type Horse = HorseProfile & { id: string; name: string };

const Entry = z.enum(STRIDE_ENTRY_KEYS);

/** All horses of a yard with their own strides, the newest of each entry. */
export async function listHorses(db: Pick<RoanDatabase, 'select'>, yardId: string): Promise<Horse[]> {
  const rows = await db
    .select({ id: horses.id, name: horses.name, heightM: horses.heightM, type: horses.type })
    .from(horses)
    .where(eq(horses.yardId, yardId))
    .orderBy(asc(horses.heightM), asc(horses.name));
  const ranges = await db
    .select()
    .from(strideRanges)
    .where(and(eq(strideRanges.yardId, yardId), isNull(strideRanges.withdrawnAt)))
    .orderBy(asc(strideRanges.createdAt));
  const own = new Map<string, Partial<Record<StrideEntryKey, ProfileStride>>>();
  for (const { horseId, entry, shortM, normalM, longM, source } of ranges)
    own.set(horseId, { ...own.get(horseId), [Entry.parse(entry)]: { shortM, normalM, longM, source } });
  return rows.map(horse => ({ ...horse, strides: own.get(horse.id) ?? {} }));
}

export async function findHorse(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  horseId: string,
): Promise<Horse | null> {
  return (await listHorses(db, yardId)).find(horse => horse.id === horseId) ?? null;
}

export type HorseDetails = {
  id?: string;
  name: string;
  heightM: number;
  type: HorseType;
  /** Normal strides as typed; null for "as practice has it". Entries left out stay as they are. */
  normalStridesM: Partial<Record<StrideEntryKey, number | null>>;
};

/** Adds a horse, or changes the one named by its id; typed strides become dated entries of its profile. */
export async function saveHorse(tx: Transaction, yardId: string, details: HorseDetails): Promise<string> {
  const { name, heightM, type } = details;
  const id = details.id ?? randomUUID();
  if (details.id === undefined) await tx.insert(horses).values({ id, yardId, name, heightM, type });
  else
    await tx
      .update(horses)
      .set({ name, heightM, type })
      .where(and(eq(horses.yardId, yardId), eq(horses.id, id)));
  const current = await findHorse(tx, yardId, id);
  for (const [entry, normalM] of Object.entries(details.normalStridesM)) {
    if (normalM === undefined) continue;
    await saveTypedStride(tx, yardId, { horseId: id, entry: Entry.parse(entry), normalM, heightM, type, current });
  }
  return id;
}

type TypedStride = {
  horseId: string;
  entry: StrideEntryKey;
  normalM: number | null;
  heightM: number;
  type: HorseType;
  current: Horse | null;
};

async function saveTypedStride(tx: Transaction, yardId: string, stride: TypedStride): Promise<void> {
  const { horseId, entry, normalM, heightM, type, current } = stride;
  const known = current?.strides[entry];
  if (normalM === (known?.normalM ?? null)) return;
  if (normalM === null) {
    await tx
      .update(strideRanges)
      .set({ withdrawnAt: new Date() })
      .where(and(eq(strideRanges.horseId, horseId), eq(strideRanges.entry, entry), isNull(strideRanges.withdrawnAt)));
    return;
  }
  // How far the stride can be changed is practice's until it is tested: in proportion to the typed normal.
  const usual = known ?? defaultStride(entry, heightM, type);
  const share = usual ? { short: usual.shortM / usual.normalM, long: usual.longM / usual.normalM } : null;
  await tx.insert(strideRanges).values({
    id: randomUUID(),
    yardId,
    horseId,
    entry,
    shortM: normalM * (share?.short ?? 1),
    normalM,
    longM: normalM * (share?.long ?? 1),
    source: 'typed',
  });
}
