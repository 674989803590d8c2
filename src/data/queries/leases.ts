import { and, eq, lt, or } from 'drizzle-orm';
import { leases } from '../schema';
import type { Transaction } from '../database';

/**
 * Takes, or holds on to, what only one process of a store does at a time.
 * @param holder - names the process
 * @param forMs - so long it may be about it: afterwards somebody else may, whatever became of this one
 * @returns whether this process may
 */
export async function takeLease(
  tx: Transaction,
  name: string,
  holder: string,
  nowMs: number,
  forMs: number,
): Promise<boolean> {
  const until = new Date(nowMs + forMs);
  const taken = await tx
    .insert(leases)
    .values({ name, holder, until })
    .onConflictDoUpdate({
      target: leases.name,
      set: { holder, until },
      setWhere: or(eq(leases.holder, holder), lt(leases.until, new Date(nowMs))),
    })
    .returning({ holder: leases.holder });
  return taken.length > 0;
}

/** Leaves it to the others. */
export async function leaveLease(tx: Transaction, name: string, holder: string): Promise<void> {
  await tx.delete(leases).where(and(eq(leases.name, name), eq(leases.holder, holder)));
}
