import { randomUUID } from 'node:crypto';
import type { Arena } from '@/core';
import { readArenaMarks, type ArenaMarks } from '@/files/arenaMarks';
import { and, asc, eq } from 'drizzle-orm';
import type { RoanDatabase } from '../openDatabase';
import { arenas } from '../schema';
import type { Transaction } from '../writeQueue';
import { keepFormer } from './formerStates';

export type ArenaBoundary = 'walls' | 'fence' | 'open';
export const ARENA_BOUNDARIES: readonly ArenaBoundary[] = ['walls', 'fence', 'open'];

export type NamedArena = Arena & {
  id: string;
  name: string;
  boundary: ArenaBoundary;
  marks: ArenaMarks;
  archived: boolean;
};

const COLUMNS = {
  id: arenas.id,
  name: arenas.name,
  widthM: arenas.widthM,
  lengthM: arenas.lengthM,
  letters: arenas.letters,
  boundary: arenas.boundary,
  marks: arenas.marks,
  archivedAt: arenas.archivedAt,
};

type Row = Omit<NamedArena, 'marks' | 'archived'> & { marks: unknown; archivedAt: Date | null };

function fromRow({ marks, archivedAt, ...arena }: Row): NamedArena {
  return { ...arena, marks: readArenaMarks(marks), archived: archivedAt !== null };
}

/** Every arena of a yard, archived ones among them. */
export async function listArenas(db: RoanDatabase, yardId: string): Promise<NamedArena[]> {
  const rows = await db
    .select(COLUMNS)
    .from(arenas)
    .where(eq(arenas.yardId, yardId))
    .orderBy(asc(arenas.createdAt), asc(arenas.id));
  return rows.map(fromRow);
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
  return arena ? fromRow(arena) : null;
}

export type ArenaDetails = Arena & { id?: string; name: string; boundary: ArenaBoundary };

/** Adds an arena, or changes the one named by its id. */
export async function saveArena(tx: Transaction, yardId: string, { id, ...arena }: ArenaDetails): Promise<void> {
  if (id === undefined) await tx.insert(arenas).values({ id: randomUUID(), yardId, ...arena });
  else {
    const before = await findArena(tx, yardId, id);
    if (before && !sameSize(before, arena)) {
      const { widthM, lengthM, letters } = before;
      await keepFormer(tx, yardId, 'arena', id, { widthM, lengthM, letters });
    }
    await tx
      .update(arenas)
      .set(arena)
      .where(and(eq(arenas.yardId, yardId), eq(arenas.id, id)));
  }
}

/** Whether two arenas are of one size with the same letters. */
export function sameSize(a: Arena, b: Arena): boolean {
  return a.widthM === b.widthM && a.lengthM === b.lengthM && a.letters === b.letters;
}

export async function saveArenaMarks(
  tx: Transaction,
  yardId: string,
  arenaId: string,
  marks: ArenaMarks,
): Promise<void> {
  await tx
    .update(arenas)
    .set({ marks })
    .where(and(eq(arenas.yardId, yardId), eq(arenas.id, arenaId)));
}
