import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import { countWrite } from './readNear';
import { asSentence, isPassing } from './databaseRefused';
import type * as schema from './schema';

type Db = LibSQLDatabase<typeof schema>;
export type Transaction = Parameters<Parameters<Db['transaction']>[0]>[0];

export type WriteQueue = {
  /** Runs one user action in one transaction, after all the writes asked for before it. */
  <T>(action: (tx: Transaction) => Promise<T>): Promise<T>;
  /** Resolves when nothing is left to write. */
  idle: () => Promise<void>;
};

/** How long a write is tried again, each time a little later, before somebody is told. */
const AGAIN_MS = [20, 60, 150, 400, 1000, 2000];

/**
 * One queue for all writes of a process: parallel transactions on one file fail with "busy" in large numbers.
 * A write that fails is rolled back, is thrown as a DatabaseRefused, and does not stop the ones behind it.
 * @param shared - whether other processes write there too: what stood in the way of a write may be gone in a moment, and it is
 *   tried again from its beginning. Only a write that is sure not to have been made: whether one was whose last answer was lost
 *   nobody knows, and what is sent again says itself what it is.
 * @param wrote - told the number of every write, where copies of the store are read from
 */
export function createWriteQueue(
  db: Db,
  { shared = false, wrote }: { shared?: boolean; wrote?: (number: number) => void } = {},
): WriteQueue {
  let last: Promise<unknown> = Promise.resolve();
  const once = async <T>(action: (tx: Transaction) => Promise<T>) => {
    let isAllSaid = false;
    let number = 0;
    try {
      const value = await db.transaction(async tx => {
        const made = await action(tx);
        if (wrote) number = await countWrite(tx);
        isAllSaid = true;
        return made;
      });
      wrote?.(number);
      return { ok: true as const, value };
    } catch (error) {
      return { ok: false as const, error, again: shared && !isAllSaid && isPassing(error) };
    }
  };
  const run = async <T>(action: (tx: Transaction) => Promise<T>): Promise<T> => {
    for (const waitMs of [...AGAIN_MS, null]) {
      const tried = await once(action);
      if (tried.ok) return tried.value;
      if (waitMs === null || !tried.again) throw asSentence(tried.error);
      // Two that stood in each other's way are not to do so again.
      await new Promise(resolve => setTimeout(resolve, waitMs * (0.5 + Math.random())));
    }
    throw new RangeError('unreachable');
  };
  const write = <T>(action: (tx: Transaction) => Promise<T>): Promise<T> => {
    const made = last.then(() => run(action));
    last = made.catch(() => undefined);
    return made;
  };
  return Object.assign(write, { idle: async () => void (await last) });
}
