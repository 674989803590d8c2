import { randomUUID } from 'node:crypto';
import type { Arena } from '@/core';
import { and, asc, eq } from 'drizzle-orm';
import type { RoanDatabase } from '../openDatabase';
import { arenas } from '../schema';
import type { Transaction } from '../writeQueue';

export type NamedArena = Arena & { id: string; name: string };

const COLUMNS = {
  id: arenas.id,
  name: arenas.name,
  widthM: arenas.widthM,
  lengthM: arenas.lengthM,
  letters: arenas.letters,
};

export function listArenas(db: RoanDatabase, yardId: string): Promise<NamedArena[]> {
  return db
    .select(COLUMNS)
    .from(arenas)
    .where(eq(arenas.yardId, yardId))
    .orderBy(asc(arenas.createdAt), asc(arenas.id));
}

export async function findArena(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  arenaId: string,
): Promise<NamedArena | null> {
  const [arena] = await db
    .select(COLUMNS)
    .from(arenas)
    .where(and(eq(arenas.yardId, yardId), eq(arenas.id, arenaId)));
  return arena ?? null;
}

/** Adds an arena, or changes the one named by its id. */
export async function saveArena(
  tx: Transaction,
  yardId: string,
  { id, ...arena }: Omit<NamedArena, 'id'> & { id?: string },
): Promise<void> {
  if (id === undefined) await tx.insert(arenas).values({ id: randomUUID(), yardId, ...arena });
  else
    await tx
      .update(arenas)
      .set(arena)
      .where(and(eq(arenas.yardId, yardId), eq(arenas.id, id)));
}
