import { randomUUID } from 'node:crypto';
import { ownStep, type OwnStep } from '@/core';
import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { RoanDatabase } from '../database';
import { putRows } from '../manyRows';
import { people, stepWalks } from '../schema';
import type { Transaction } from '../database';

export type PersonRole = 'instructor' | 'rider' | 'helper' | 'office';
export const PERSON_ROLES: readonly PersonRole[] = ['instructor', 'rider', 'helper', 'office'];

export type StepWalkRecord = { id: string; lengthM: number; steps: number; walkedAtMs: number };

/** A person. `stepLengthM` is what counts: as typed, or else as walked; null where nobody knows. */
export type Person = {
  id: string;
  name: string;
  role: PersonRole;
  archived: boolean;
  stepLengthM: number | null;
  typedStepM: number | null;
  walks: StepWalkRecord[];
  walked: OwnStep | null;
};

/** Everybody of a yard with their walks, archived ones among them. */
export async function listPeople(db: Pick<RoanDatabase, 'select'>, yardId: string): Promise<Person[]> {
  const rows = await db
    .select()
    .from(people)
    .where(eq(people.yardId, yardId))
    .orderBy(sql`case ${people.role} when 'instructor' then 0 when 'rider' then 1 else 2 end`, asc(people.name));
  const walkRows = await db
    .select()
    .from(stepWalks)
    .where(and(eq(stepWalks.yardId, yardId), isNull(stepWalks.undoneAt)))
    .orderBy(asc(stepWalks.walkedAt));
  return rows.map(({ id, name, role, stepLengthM: typedStepM, archivedAt }) => {
    const walks = walkRows
      .filter(walk => walk.personId === id)
      .map(walk => ({ id: walk.id, lengthM: walk.lengthM, steps: walk.steps, walkedAtMs: walk.walkedAt.getTime() }));
    const walked = walks.length === 0 ? null : ownStep(walks);
    const stepLengthM = typedStepM ?? walked?.stepM ?? null;
    return { id, name, role, archived: archivedAt !== null, stepLengthM, typedStepM, walks, walked };
  });
}

export async function findPerson(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  personId: string,
): Promise<Person | null> {
  return (await listPeople(db, yardId)).find(({ id }) => id === personId) ?? null;
}

export type PersonDetails = { id?: string; name: string; role: PersonRole; stepLengthM: number | null };

/** Adds a person, or changes the one named by their id. */
export async function savePerson(tx: Transaction, yardId: string, { id, ...person }: PersonDetails): Promise<string> {
  const personId = id ?? randomUUID();
  if (id === undefined) await savePeople(tx, yardId, [{ id: personId, ...person }]);
  else
    await tx
      .update(people)
      .set(person)
      .where(and(eq(people.yardId, yardId), eq(people.id, id)));
  return personId;
}

/** Adds people, and changes those whose ids are there already: in a few statements however many they are. */
export async function savePeople(
  tx: Transaction,
  yardId: string,
  persons: readonly (PersonDetails & { id: string })[],
): Promise<void> {
  const rows = persons.map(({ id, name, role, stepLengthM }) => ({ id, name, role, stepLengthM }));
  await putRows(tx, people, yardId, rows);
}

/** Keeps a walk; sent again with the same id it counts once. */
export async function addStepWalk(
  tx: Transaction,
  yardId: string,
  personId: string,
  { id, walkedAtMs, lengthM, steps }: StepWalkRecord,
): Promise<void> {
  await tx
    .insert(stepWalks)
    .values({ id, yardId, personId, lengthM, steps, walkedAt: new Date(walkedAtMs) })
    .onConflictDoNothing();
}

/** Takes a walk back, or brings it back; its row stays. */
export async function setWalkUndone(tx: Transaction, yardId: string, walkId: string, undone: boolean): Promise<void> {
  await tx
    .update(stepWalks)
    .set({ undoneAt: undone ? new Date() : null })
    .where(and(eq(stepWalks.yardId, yardId), eq(stepWalks.id, walkId)));
}

/** Lets what was walked count from now on: a typed step is taken back by the person who typed it. */
export async function clearTypedStep(tx: Transaction, yardId: string, personId: string): Promise<void> {
  await tx
    .update(people)
    .set({ stepLengthM: null })
    .where(and(eq(people.yardId, yardId), eq(people.id, personId)));
}
