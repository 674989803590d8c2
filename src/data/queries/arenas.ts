import { randomUUID } from 'node:crypto';
import { arenaFault, type Arena, type PointM } from '@/core';
import { readArenaMarks, shapeOf, type ArenaMarks } from '@/files/arenaMarks';
import { and, asc, eq } from 'drizzle-orm';
import { onceARequest } from '../onceARequest';
import type { RoanDatabase } from '../database';
import { arenas } from '../schema';
import type { Transaction } from '../database';
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
  const read = readArenaMarks(marks);
  return { ...arena, ...shapeOf(read), marks: read, archived: archivedAt !== null };
}

/** Every arena of a yard, archived ones among them. */
export const listArenas = onceARequest(
  async (db: Pick<RoanDatabase, 'select'>, yardId: string): Promise<NamedArena[]> => {
    const rows = await db
      .select(COLUMNS)
      .from(arenas)
      .where(eq(arenas.yardId, yardId))
      .orderBy(asc(arenas.createdAt), asc(arenas.id));
    return rows.map(fromRow);
  },
);

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
    // An outline is of its size: sand of another size is a rectangle until somebody says otherwise.
    const isOther = before?.outline && !(before.widthM === arena.widthM && before.lengthM === arena.lengthM);
    await tx
      .update(arenas)
      .set({ ...arena, ...(isOther ? { marks: { ...before.marks, outline: null } } : {}) })
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
  const { outline } = marks;
  const before = await findArena(tx, yardId, arenaId);
  if (!before) return;
  // An outline says how large the sand is; published letters belong to sand of their size.
  const sized = outline ? sizeOf(outline, before) : {};
  if (outline && !sameSize(before, { ...before, ...sized })) {
    const { widthM, lengthM, letters } = before;
    await keepFormer(tx, yardId, 'arena', arenaId, { widthM, lengthM, letters });
  }
  await tx
    .update(arenas)
    .set({ marks, ...sized })
    .where(and(eq(arenas.yardId, yardId), eq(arenas.id, arenaId)));
}

function sizeOf(outline: readonly PointM[], before: Arena): Pick<Arena, 'widthM' | 'lengthM' | 'letters'> {
  const widthM = Math.max(...outline.map(({ xM }) => xM));
  const lengthM = Math.max(...outline.map(({ yM }) => yM));
  return { widthM, lengthM, letters: arenaFault({ ...before, widthM, lengthM }) ? 'none' : before.letters };
}

/** An arena as the core has it, without what a yard keeps of it besides. */
export function arenaOf({ widthM, lengthM, letters, outline, ownLetters, standing }: Arena): Arena {
  return {
    ...{ widthM, lengthM, letters },
    ...(outline ? { outline } : {}),
    ...(ownLetters ? { ownLetters } : {}),
    ...(standing ? { standing } : {}),
  };
}
