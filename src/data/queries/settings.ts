import { LENGTH_UNITS, type LengthUnit } from '@/core';
import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import type { RoanDatabase } from '../openDatabase';
import { settings } from '../schema';
import type { Transaction } from '../writeQueue';

const ReadingUnit = z.enum(LENGTH_UNITS).catch('m');

/** The unit this yard reads lengths in; metres until somebody chooses. */
export async function lengthUnit(db: RoanDatabase, yardId: string): Promise<LengthUnit> {
  const [row] = await db
    .select({ value: settings.value })
    .from(settings)
    .where(and(eq(settings.yardId, yardId), eq(settings.key, 'lengthUnit')));
  return ReadingUnit.parse(row?.value);
}

export async function saveLengthUnit(tx: Transaction, yardId: string, unit: LengthUnit): Promise<void> {
  await tx
    .insert(settings)
    .values({ yardId, key: 'lengthUnit', value: unit })
    .onConflictDoUpdate({ target: [settings.yardId, settings.key], set: { value: unit } });
}
