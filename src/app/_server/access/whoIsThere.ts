import 'server-only';
import { cache } from 'react';
import { hasPassphrases, type Person, type SessionPerson } from '@/data/queries/access';
import { keeperOf } from '@/data/queries/kept/findings';
import { currentYard, listYards } from '@/data/queries/yards';
import { roan } from '@/data/roan';
import { askedHeaders } from './asking';
import { isThisMachineOnly } from './isOpen';
import { YARD_HEADER } from '@/components/pageYard';
import { carriedSessions } from './sessionCookie';
import { sessionsAsked } from './sessionsAsked';
import { chosenYard } from './yardCookie';

/**
 * Who asks, and in which yard. `open`: nobody has to sign in, since only this machine reaches Roan and nobody has a
 * passphrase.
 */
export type Who = { yardId: string } & ({ open: true } | ({ open: false; sessionId: string } & Person));

/** A session is noted as seen no more often than this. */
const SEEN_EVERY_MS = 5 * 60_000;

/** Who asks: whoever sits at an open machine, a person who is signed in, or null for nobody that is known. */
export const whoIsThere = cache(async (): Promise<Who | null> => {
  // First what only a request has: while pages are built no database is opened.
  const asked = (await askedHeaders()).get(YARD_HEADER);
  const database = await roan();
  const nowMs = Date.now();
  const { active } = await carriedSessions();
  const known = await yardsHere();
  const found = asked === null ? known[0] : known.find(({ yardId }) => yardId === asked);
  // Where the session of now has ended its device is out, though others of it run: it chooses another by signing in.
  const person = asked === null && found?.sessionId !== active ? undefined : found;
  if (!person) {
    const isOpen = isThisMachineOnly() && !(await hasPassphrases(database.db));
    return isOpen ? { open: true, yardId: await openYard(asked) } : null;
  }
  const { id, name, role, yardId, sessionId } = person;
  if (nowMs - person.lastSeenAtMs > SEEN_EVERY_MS)
    // A page is made all the same where it cannot be noted: on a full disk too.
    await keeperOf(database.db)?.({ what: 'session seen', yardId, sessionId, atMs: nowMs }).catch(() => undefined);
  return { open: false, yardId, sessionId, id, name, role };
});

/** The yards that this device is signed in to, the one it is in first; asked for once for each page. */
export const yardsHere = cache(async (): Promise<SessionPerson[]> => {
  const { all } = await carriedSessions();
  const known = await sessionsAsked(all);
  return all.flatMap(id => known.find(({ sessionId }) => sessionId === id) ?? []);
});

/** The yard of an open machine: the one that is asked for, or was chosen, or the first. */
async function openYard(asked: string | null): Promise<string> {
  const database = await roan();
  const wanted = asked ?? (await chosenYard());
  const there = wanted === null ? [] : await listYards(database.db);
  return there.find(({ id }) => id === wanted)?.id ?? (await currentYard(database)).id;
}
