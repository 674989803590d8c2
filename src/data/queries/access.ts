import { randomUUID } from 'node:crypto';
import { and, desc, eq, gt, inArray, isNull } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import { newToken, tokenHash } from '../access/tokens';
import type { RoanDatabase } from '../database';
import { deviceLinks, passphrases, people, sessions, yards } from '../schema';
import type { Transaction } from '../database';

type Reader = Pick<RoanDatabase, 'select'>;
export type Role = 'instructor' | 'helper' | 'rider' | 'office';
export type Person = { id: string; name: string; role: Role };

/** A device link is good for so long, minutes. */
export const DEVICE_LINK_MIN = 10;
/** A session that was not seen for so long is over, days. */
export const SESSION_DAYS = 60;

const DAY_MS = 24 * 3600 * 1000;
const isThere = (yardId: string) => and(eq(people.yardId, yardId), isNull(people.archivedAt));
const asPerson = { id: people.id, name: people.name, role: people.role };

/** Whether anybody who is in a yard of this store has a passphrase: from then on nobody comes in without one, to any yard. */
export async function hasPassphrases(db: Reader): Promise<boolean> {
  const [one] = await db
    .select({ id: people.id })
    .from(passphrases)
    .innerJoin(people, eq(people.id, passphrases.personId))
    .where(isNull(people.archivedAt))
    .limit(1);
  return one !== undefined;
}

/** Whoever goes by a name and has a passphrase, in whichever yard; of two of one name both are told. */
export async function passphrasesOf(db: Reader, name: string): Promise<(Person & { yardId: string; hash: string })[]> {
  const rows = await db
    .select({ ...asPerson, yardId: people.yardId, hash: passphrases.hash })
    .from(passphrases)
    .innerJoin(people, eq(people.id, passphrases.personId))
    .where(isNull(people.archivedAt))
    .orderBy(people.createdAt);
  const plain = (text: string) => text.trim().toLowerCase();
  return rows.filter(person => plain(person.name) === plain(name));
}

/** What a person's passphrase is kept as; null where they have none. */
export async function passphraseHash(db: Reader, yardId: string, personId: string): Promise<string | null> {
  const [row] = await db
    .select({ hash: passphrases.hash })
    .from(passphrases)
    .where(and(eq(passphrases.yardId, yardId), eq(passphrases.personId, personId)));
  return row?.hash ?? null;
}

/** Who has a passphrase, by their ids. */
export async function peopleWithPassphrase(db: Reader, yardId: string): Promise<Set<string>> {
  const rows = await db.select({ id: passphrases.personId }).from(passphrases).where(eq(passphrases.yardId, yardId));
  return new Set(rows.map(({ id }) => id));
}

/** People are named here without a reference: that they are of the yard is looked at. */
async function refuseElsewhere(tx: Transaction, yardId: string, personId: string): Promise<void> {
  const [person] = await tx
    .select({ id: people.id })
    .from(people)
    .where(and(eq(people.yardId, yardId), eq(people.id, personId)));
  if (!person) throw new DatabaseRefused('This person is not in the yard any more.');
}

/** Gives a person a passphrase, in place of the one before. */
export async function setPassphrase(tx: Transaction, yardId: string, personId: string, hash: string): Promise<void> {
  await refuseElsewhere(tx, yardId, personId);
  const changedAt = new Date();
  await tx
    .insert(passphrases)
    .values({ personId, yardId, hash, changedAt })
    .onConflictDoUpdate({ target: passphrases.personId, set: { hash, changedAt } });
}

/** A link for one device of a person. The token is told once and kept as a hash. */
export async function addDeviceLink(
  tx: Transaction,
  yardId: string,
  personId: string,
  nowMs: number,
): Promise<{ token: string; expiresAtMs: number } | null> {
  const [person] = await tx
    .select(asPerson)
    .from(people)
    .where(and(isThere(yardId), eq(people.id, personId)));
  if (!person) return null;
  const token = newToken();
  const expiresAtMs = nowMs + DEVICE_LINK_MIN * 60_000;
  await tx.insert(deviceLinks).values({
    ...{ id: randomUUID(), yardId, personId, tokenHash: tokenHash(token) },
    expiresAt: new Date(expiresAtMs),
  });
  return { token, expiresAtMs };
}

/** Whom a device link lets in, and into which yard, while it is good and unused; null otherwise. */
export async function deviceLinkPerson(
  db: Reader,
  token: string,
  nowMs: number,
): Promise<(Person & { yardId: string }) | null> {
  const [row] = await db
    .select({ ...asPerson, yardId: people.yardId })
    .from(deviceLinks)
    .innerJoin(people, eq(people.id, deviceLinks.personId))
    .where(
      and(
        isNull(people.archivedAt),
        eq(people.yardId, deviceLinks.yardId),
        eq(deviceLinks.tokenHash, tokenHash(token)),
        isNull(deviceLinks.usedAt),
        gt(deviceLinks.expiresAt, new Date(nowMs)),
      ),
    );
  return row ?? null;
}

/** Uses a device link up and begins a session; null where it was used, or is too old. */
export async function useDeviceLink(
  tx: Transaction,
  token: string,
  device: string,
  nowMs: number,
): Promise<string | null> {
  const person = await deviceLinkPerson(tx, token, nowMs);
  if (!person) return null;
  await tx
    .update(deviceLinks)
    .set({ usedAt: new Date(nowMs) })
    .where(eq(deviceLinks.tokenHash, tokenHash(token)));
  return beginSession(tx, person.yardId, person.id, device, nowMs);
}

/** Begins a session of a person on a device. */
export async function beginSession(
  tx: Transaction,
  yardId: string,
  personId: string,
  device: string,
  nowMs: number,
): Promise<string> {
  await refuseElsewhere(tx, yardId, personId);
  const id = randomUUID();
  await tx.insert(sessions).values({ id, yardId, personId, device: device.slice(0, 80), lastSeenAt: new Date(nowMs) });
  return id;
}

const runs = (nowMs: number) =>
  and(isNull(sessions.endedAt), gt(sessions.lastSeenAt, new Date(nowMs - SESSION_DAYS * DAY_MS)));
const isRunning = (yardId: string, nowMs: number) => and(eq(sessions.yardId, yardId), runs(nowMs));

/** A session that runs: whose it is, and in which yard. */
export type SessionPerson = Person & { sessionId: string; yardId: string; yardName: string; lastSeenAtMs: number };

/** Whose the sessions are that a device carries, of those that run and whose person is in the yard; in no order. */
export async function sessionPeople(
  db: Reader,
  sessionIds: readonly string[],
  nowMs: number,
): Promise<SessionPerson[]> {
  if (sessionIds.length === 0) return [];
  const rows = await db
    .select({
      ...asPerson,
      ...{ sessionId: sessions.id, yardId: yards.id, yardName: yards.name, lastSeenAt: sessions.lastSeenAt },
    })
    .from(sessions)
    .innerJoin(people, and(eq(people.id, sessions.personId), eq(people.yardId, sessions.yardId)))
    .innerJoin(yards, eq(yards.id, sessions.yardId))
    .where(and(isNull(people.archivedAt), runs(nowMs), inArray(sessions.id, [...sessionIds])));
  return rows.map(({ lastSeenAt, ...row }) => ({ ...row, lastSeenAtMs: lastSeenAt.getTime() }));
}

/** Notes that a session was seen. */
export async function seeSession(tx: Transaction, yardId: string, sessionId: string, nowMs: number): Promise<void> {
  await tx
    .update(sessions)
    .set({ lastSeenAt: new Date(nowMs) })
    .where(and(eq(sessions.yardId, yardId), eq(sessions.id, sessionId)));
}

export type RunningSession = { id: string; person: string; device: string; createdAtMs: number; lastSeenAtMs: number };

/** The sessions that run, the last seen first. */
export async function runningSessions(db: Reader, yardId: string, nowMs: number): Promise<RunningSession[]> {
  const rows = await db
    .select({ session: sessions, person: people.name })
    .from(sessions)
    .innerJoin(people, eq(people.id, sessions.personId))
    .where(isRunning(yardId, nowMs))
    .orderBy(desc(sessions.lastSeenAt));
  return rows.map(({ session, person }) => ({
    ...{ id: session.id, person, device: session.device },
    ...{ createdAtMs: session.createdAt.getTime(), lastSeenAtMs: session.lastSeenAt.getTime() },
  }));
}

/** Ends a session; with `personId` all of that person's but `butId`. */
export async function endSessions(
  tx: Transaction,
  yardId: string,
  which: { sessionId: string } | { personId: string; butId: string | null },
  nowMs: number,
): Promise<void> {
  const own = 'sessionId' in which ? eq(sessions.id, which.sessionId) : eq(sessions.personId, which.personId);
  const rows = await tx
    .select({ id: sessions.id })
    .from(sessions)
    .where(and(eq(sessions.yardId, yardId), isNull(sessions.endedAt), own));
  for (const { id } of rows)
    if (!('butId' in which) || id !== which.butId)
      await tx
        .update(sessions)
        .set({ endedAt: new Date(nowMs) })
        .where(eq(sessions.id, id));
}
