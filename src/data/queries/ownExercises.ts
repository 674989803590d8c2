import { randomUUID } from 'node:crypto';
import { HORSE_LEVELS, PURPOSES, type HorseLevel, type Item, type PlannedTrack, type Purpose } from '@/core';
import { readArrangement, writeArrangement } from '@/files/arrangement';
import { and, asc, eq, isNull } from 'drizzle-orm';
import { z } from 'zod';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../database';
import { ownExercises } from '../schema';
import type { Transaction } from '../database';

/** Items and tracks about their middle, as somebody in the yard arranged them. */
export type OwnExercise = {
  id: string;
  title: string;
  purposes: Purpose[];
  level: HorseLevel;
  items: Item[];
  tracks: PlannedTrack[];
};

const Purposes = z.array(z.enum(PURPOSES));
const Level = z.enum(HORSE_LEVELS);

/** The yard's own part of the shelf. */
export async function listOwnExercises(db: RoanDatabase, yardId: string): Promise<OwnExercise[]> {
  const rows = await db
    .select()
    .from(ownExercises)
    .where(and(eq(ownExercises.yardId, yardId), isNull(ownExercises.archivedAt)))
    .orderBy(asc(ownExercises.title));
  return rows.map(({ id, title, purposes, level, document }) => {
    const read = readArrangement(document);
    if (!read.ok) throw new DatabaseRefused(`“${title}” on the shelf cannot be read: ${read.reason}`);
    return { id, title, purposes: Purposes.parse(purposes), level: Level.parse(level), ...read.arrangement };
  });
}

export async function addOwnExercise(
  tx: Transaction,
  yardId: string,
  { title, purposes, level, items, tracks }: Omit<OwnExercise, 'id'>,
): Promise<string> {
  const id = randomUUID();
  await tx
    .insert(ownExercises)
    .values({ id, yardId, title, purposes, level, document: writeArrangement({ items, tracks }) });
  return id;
}
