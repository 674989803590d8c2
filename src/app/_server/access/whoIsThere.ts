import 'server-only';
import { cache } from 'react';
import { hasPassphrases, seeSession, sessionPerson, type Person } from '@/data/queries/access';
import { currentYard } from '@/data/queries/yards';
import { roan } from '@/data/roan';
import { isThisMachineOnly } from './isOpen';
import { carriedSession } from './sessionCookie';

/** `open`: nobody has to sign in, since only this machine reaches Roan and nobody has a passphrase. */
export type Who = { open: true } | ({ open: false; sessionId: string } & Person);

/** A session is noted as seen no more often than this. */
const SEEN_EVERY_MS = 5 * 60_000;

/** Who asks: whoever sits at an open machine, a person who is signed in, or null for nobody that is known. */
export const whoIsThere = cache(async (): Promise<Who | null> => {
  const database = await roan();
  const yard = await currentYard(database);
  if (isThisMachineOnly() && !(await hasPassphrases(database.db, yard.id))) return { open: true };
  const sessionId = await carriedSession();
  if (sessionId === null) return null;
  const nowMs = Date.now();
  const person = await sessionPerson(database.db, yard.id, sessionId, nowMs);
  if (!person) return null;
  if (nowMs - person.lastSeenAtMs > SEEN_EVERY_MS) await database.write(tx => seeSession(tx, sessionId, nowMs));
  const { id, name, role } = person;
  return { open: false, sessionId, id, name, role };
});
