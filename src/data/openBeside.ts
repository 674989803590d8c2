import { parentPort } from 'node:worker_threads';
import { StoreFault } from './databaseRefused';
import { DEFAULT_DATABASE_URL, filePathOf, openDatabase } from './openDatabase';
import type { OpenDatabase } from './database';
import { openReader } from './openReader';
import { keptThrough, type Finding } from './queries/kept/findings';
import type { WriteQueue } from './database';

/** What the thread that makes pages says to the one that takes taps, and what comes back (`scripts/lib/pagesBeside.mjs`). */
type Said = { number: number; finding: Finding };
type Heard = { number: number; isKept: boolean };

/**
 * The database of this process once more, for the thread that makes pages: it was opened, brought up to date and claimed by the one that
 * takes taps, and that one alone writes. A transaction here would be held up by every page that is being made, and hold up the taps.
 */
export async function openBeside(): Promise<OpenDatabase> {
  const url = process.env.ROAN_DATABASE_URL ?? DEFAULT_DATABASE_URL;
  // On a server everybody is one of many.
  if (filePathOf(url) === null)
    return openDatabase(url, process.env.ROAN_DATABASE_TOKEN, process.env.ROAN_DATABASE_REPLICA_URL);
  const { db, close } = await openReader();
  keptThrough(db, toTaps());
  return { db, write: refusing(), close: async () => close() };
}

function toTaps() {
  const waiting = new Map<number, { done: () => void; failed: (error: Error) => void }>();
  let last = 0;
  parentPort!.on('message', ({ number, isKept }: Heard) => {
    const one = waiting.get(number);
    waiting.delete(number);
    if (isKept) one?.done();
    else one?.failed(new StoreFault('What was found out could not be kept.'));
  });
  return (finding: Finding) =>
    new Promise<void>((done, failed) => {
      last += 1;
      waiting.set(last, { done, failed });
      parentPort!.postMessage({ number: last, finding } satisfies Said);
    });
}

const refusing = (): WriteQueue =>
  Object.assign(() => Promise.reject(new StoreFault('A page that is made changes nothing.')), {
    idle: () => Promise.resolve(),
  });
