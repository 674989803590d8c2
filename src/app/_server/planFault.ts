import 'server-only';
import { placeRow } from '@/core';
import type { RoanDatabase } from '@/data/openDatabase';
import type { NamedArena } from '@/data/queries/arenas';
import { findHorse } from '@/data/queries/horses';
import type { PlanDocument } from '@/files/planDocument';

/** Why a plan cannot lie in this arena for the horses of this yard, or null if it can. */
export async function planFault(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  arena: NamedArena,
  plan: PlanDocument,
): Promise<string | null> {
  for (const row of plan.rows) {
    const horse = await findHorse(db, yardId, row.horseId);
    if (!horse) return 'The horse of this row is not in the yard any more: choose another.';
    const { misfit } = placeRow(arena, row, horse);
    if (misfit !== null) return misfit;
  }
  return null;
}
