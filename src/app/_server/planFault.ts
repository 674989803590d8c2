import 'server-only';
import { resolvePlan, type Plan } from '@/core';
import type { RoanDatabase } from '@/data/database';
import type { NamedArena } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { planGround } from '@/data/queries/planGround';
import { readLayout, writeLayout } from '@/files/layoutFile';

/** Why a plan does not come to a layout that can be kept, or null if it does. */
export async function planFault(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  arena: NamedArena,
  plan: Plan,
): Promise<string | null> {
  const { layout } = resolvePlan(plan, planGround('plan', arena, await listHorses(db, yardId), null));
  const read = readLayout(writeLayout(layout));
  return read.ok ? null : `This layout cannot be kept: ${read.reason}`;
}
