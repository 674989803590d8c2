import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import { asSentence } from './databaseRefused';
import type * as schema from './schema';

type Db = LibSQLDatabase<typeof schema>;
export type Transaction = Parameters<Parameters<Db['transaction']>[0]>[0];

export type WriteQueue = {
  /** Runs one user action in one transaction, after all the writes asked for before it. */
  <T>(action: (tx: Transaction) => Promise<T>): Promise<T>;
  /** Resolves when nothing is left to write. */
  idle: () => Promise<void>;
};

/**
 * One queue for all writes of a process: parallel transactions on one file fail with "busy" in large numbers.
 * A write that fails is rolled back, is thrown as a DatabaseRefused, and does not stop the ones behind it.
 */
export function createWriteQueue(db: Db): WriteQueue {
  let last: Promise<unknown> = Promise.resolve();
  const write = <T>(action: (tx: Transaction) => Promise<T>): Promise<T> => {
    const run = last.then(() => db.transaction(action));
    last = run.catch(() => undefined);
    return run.catch(error => {
      throw asSentence(error);
    });
  };
  return Object.assign(write, { idle: async () => void (await last) });
}
