import 'server-only';
import { sessionPeople, type SessionPerson } from '@/data/queries/access';
import { roan } from '@/data/roan';

type Asked = { ids: readonly string[]; done: (people: SessionPerson[]) => void; failed: (error: unknown) => void };

let waiting: Asked[] = [];
let isAsking = false;

/**
 * Whose sessions these are, as `sessionPeople` says. Who asks while another question is on its way waits for it, and is then asked
 * for together with all who wait: every tap asks, and the store answers one question for twenty as fast as one for one. What is
 * told was read after it was asked for, so a session that ended a moment before has ended.
 */
export function sessionsAsked(ids: readonly string[]): Promise<SessionPerson[]> {
  if (ids.length === 0) return Promise.resolve([]);
  const told = new Promise<SessionPerson[]>((done, failed) => waiting.push({ ids, done, failed }));
  if (!isAsking) void askAll();
  return told;
}

async function askAll(): Promise<void> {
  isAsking = true;
  while (waiting.length > 0) {
    const all = waiting;
    waiting = [];
    try {
      const { db } = await roan();
      const people = await sessionPeople(db, [...new Set(all.flatMap(({ ids }) => ids))], Date.now());
      for (const { ids, done } of all) done(people.filter(({ sessionId }) => ids.includes(sessionId)));
    } catch (error) {
      for (const { failed } of all) failed(error);
    }
  }
  isAsking = false;
}
