import { randomUUID } from 'node:crypto';
import { asc, eq } from 'drizzle-orm';
import type { OpenDatabase } from '../database';
import { yards } from '../schema';
import type { Transaction } from '../database';

export type Yard = { id: string; name: string; timeZone: string };

const AS_YARD = { id: yards.id, name: yards.name, timeZone: yards.timeZone };

/** The first yard of this store; an empty one gets one, named plainly, so that there is a place to begin. */
export async function currentYard({ db, write }: OpenDatabase): Promise<Yard> {
  return (
    (await firstYard(db)) ??
    write(async tx => {
      const already = await firstYard(tx);
      if (already) return already;
      const yard = {
        id: randomUUID(),
        name: 'My yard',
        timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
      };
      await tx.insert(yards).values(yard);
      return yard;
    })
  );
}

async function firstYard(db: Pick<OpenDatabase['db'], 'select'>): Promise<Yard | null> {
  const [yard] = await db.select(AS_YARD).from(yards).orderBy(asc(yards.createdAt), asc(yards.id)).limit(1);
  return yard ?? null;
}

/** A yard by its id; null where the store has none of that. */
export async function findYard(db: Pick<OpenDatabase['db'], 'select'>, yardId: string): Promise<Yard | null> {
  const [yard] = await db.select(AS_YARD).from(yards).where(eq(yards.id, yardId));
  return yard ?? null;
}

/** Every yard of the store, the oldest first: for a machine that is open, and for the store's own sake. */
export async function listYards(db: Pick<OpenDatabase['db'], 'select'>): Promise<Yard[]> {
  return db.select(AS_YARD).from(yards).orderBy(asc(yards.createdAt), asc(yards.id));
}

/** Begins another yard in this store, with nothing in it. */
export async function addYard(tx: Transaction, name: string, timeZone: string): Promise<Yard> {
  const yard = { id: randomUUID(), name, timeZone };
  await tx.insert(yards).values(yard);
  return yard;
}

/** Calls a yard otherwise. */
export async function renameYard(tx: Transaction, yardId: string, name: string): Promise<void> {
  await tx.update(yards).set({ name }).where(eq(yards.id, yardId));
}
