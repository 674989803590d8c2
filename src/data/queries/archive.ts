import { and, eq } from 'drizzle-orm';
import { arenas, horses, kit, layouts, ownExercises, pairs, people } from '../schema';
import type { Transaction } from '../database';

/** What can be archived and restored. Records stay with it; nothing is ever deleted. */
const TABLES = {
  horse: horses,
  person: people,
  pair: pairs,
  arena: arenas,
  kit,
  layout: layouts,
  exercise: ownExercises,
} as const;
export type Archivable = keyof typeof TABLES;
export const ARCHIVABLE = Object.keys(TABLES) as Archivable[];

/** Archives something of a yard, or restores it. */
export async function setArchived(
  tx: Transaction,
  yardId: string,
  kind: Archivable,
  id: string,
  archived: boolean,
): Promise<void> {
  const table = TABLES[kind];
  await tx
    .update(table)
    .set({ archivedAt: archived ? new Date() : null })
    .where(and(eq(table.yardId, yardId), eq(table.id, id)));
}
