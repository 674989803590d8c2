import { randomUUID } from 'node:crypto';
import { KIT_KINDS, type KitKind } from '@/files/yardForms';
import { and, asc, eq } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { putRows } from '../manyRows';
import { kit } from '../schema';
import type { Transaction } from '../database';

/** Some of the kit of a yard. `sizeM`: the length of poles, the height of blocks; null for the others. */
export type KitPiece = {
  id: string;
  kind: KitKind;
  name: string;
  sizeM: number | null;
  count: number;
  archived: boolean;
};

/** All the kit of a yard, archived pieces among it. */
export async function listKit(db: Pick<RoanDatabase, 'select'>, yardId: string): Promise<KitPiece[]> {
  const rows = await db.select().from(kit).where(eq(kit.yardId, yardId)).orderBy(asc(kit.kind), asc(kit.sizeM));
  const order = (kind: KitKind) => KIT_KINDS.indexOf(kind);
  return rows
    .map(({ id, kind, name, sizeM, count, archivedAt }) => ({
      ...{ id, kind, name, sizeM, count },
      archived: archivedAt !== null,
    }))
    .sort((a, b) => order(a.kind) - order(b.kind));
}

export type KitDetails = Omit<KitPiece, 'id' | 'archived'> & { id?: string };

/** Adds some kit, or changes the piece named by its id. */
export async function saveKit(tx: Transaction, yardId: string, { id, ...piece }: KitDetails): Promise<void> {
  if (id === undefined) await saveKits(tx, yardId, [{ id: randomUUID(), ...piece }]);
  else
    await tx
      .update(kit)
      .set(piece)
      .where(and(eq(kit.yardId, yardId), eq(kit.id, id)));
}

/** Adds kit, and changes pieces whose ids are there already: in a few statements however many they are. */
export async function saveKits(
  tx: Transaction,
  yardId: string,
  pieces: readonly (KitDetails & { id: string })[],
): Promise<void> {
  const rows = pieces.map(({ id, kind, name, sizeM, count }) => ({ id, kind, name, sizeM, count }));
  await putRows(tx, kit, yardId, rows);
}
