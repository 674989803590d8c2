import { randomUUID } from 'node:crypto';
import { and, asc, eq, sql } from 'drizzle-orm';
import { onceARequest } from '../onceARequest';
import type { RoanDatabase } from '../database';
import { horses, pairs, people } from '../schema';
import type { Transaction } from '../database';

export type Pair = {
  id: string;
  riderId: string;
  horseId: string;
  riderName: string;
  horseName: string;
  archived: boolean;
};

function selectPairs(db: Pick<RoanDatabase, 'select'>) {
  return db
    .select({
      id: pairs.id,
      riderId: pairs.riderId,
      horseId: pairs.horseId,
      riderName: people.name,
      horseName: horses.name,
      archived: sql<boolean>`${pairs.archivedAt} is not null`.mapWith(Boolean),
    })
    .from(pairs)
    .innerJoin(people, eq(people.id, pairs.riderId))
    .innerJoin(horses, eq(horses.id, pairs.horseId));
}

export const listPairs = onceARequest((db: Pick<RoanDatabase, 'select'>, yardId: string): Promise<Pair[]> =>
  selectPairs(db).where(eq(pairs.yardId, yardId)).orderBy(asc(people.name), asc(horses.name)),
);

export async function findPair(db: Pick<RoanDatabase, 'select'>, yardId: string, pairId: string): Promise<Pair | null> {
  const [pair] = await selectPairs(db).where(and(eq(pairs.yardId, yardId), eq(pairs.id, pairId)));
  return pair ?? null;
}

/** Puts a rider and a horse together; a pair that is there already is taken out of the archive. */
export async function addPair(tx: Transaction, yardId: string, riderId: string, horseId: string): Promise<void> {
  await tx
    .insert(pairs)
    .values({ id: randomUUID(), yardId, riderId, horseId })
    .onConflictDoUpdate({ target: [pairs.riderId, pairs.horseId], set: { archivedAt: null } });
}
