import { randomUUID } from 'node:crypto';
import { and, asc, eq, sql } from 'drizzle-orm';
import type { RoanDatabase } from '../openDatabase';
import { people } from '../schema';
import type { Transaction } from '../writeQueue';

export type PersonRole = 'instructor' | 'rider' | 'helper';
export const PERSON_ROLES: readonly PersonRole[] = ['instructor', 'rider', 'helper'];
export type Person = { id: string; name: string; role: PersonRole; stepLengthM: number | null };

export function listPeople(db: RoanDatabase, yardId: string): Promise<Person[]> {
  return db
    .select({ id: people.id, name: people.name, role: people.role, stepLengthM: people.stepLengthM })
    .from(people)
    .where(eq(people.yardId, yardId))
    .orderBy(sql`case ${people.role} when 'instructor' then 0 when 'rider' then 1 else 2 end`, asc(people.name));
}

/** Adds a person, or changes the one named by their id. */
export async function savePerson(
  tx: Transaction,
  yardId: string,
  { id, ...person }: Omit<Person, 'id'> & { id?: string },
): Promise<void> {
  if (id === undefined) await tx.insert(people).values({ id: randomUUID(), yardId, ...person });
  else
    await tx
      .update(people)
      .set(person)
      .where(and(eq(people.yardId, yardId), eq(people.id, id)));
}
