import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import type * as schema from './schema';

export type RoanDatabase = LibSQLDatabase<typeof schema>;

export type OpenDatabase = {
  db: RoanDatabase;
  /** Every write goes through here, in order and whole: each in a transaction, on a server those that wait in one together. */
  write: WriteQueue;
  /** Whether it is a file of this process; else on a server. */
  file?: boolean;
  close: () => Promise<void>;
};

export type Transaction = Parameters<Parameters<RoanDatabase['transaction']>[0]>[0];

export type WriteQueue = {
  /** Runs one user action in one transaction, after all the writes asked for before it. */
  <T>(action: (tx: Transaction) => Promise<T>): Promise<T>;
  /** Resolves when nothing is left to write. */
  idle: () => Promise<void>;
};
