import { openBeside } from './openBeside';
import { DEFAULT_DATABASE_URL, openDatabase } from './openDatabase';
import type { OpenDatabase } from './database';

/** Kept on the global object, so that reloading a module in development does not open the file twice. */
const holder = globalThis as typeof globalThis & { roanDatabase?: Promise<OpenDatabase> };

/** Whether this is the thread that makes pages, beside the one that takes taps; each has its own copy of the environment. */
export const isPagesThread = (): boolean => process.env.ROAN_PAGES_THREAD === '1';

/**
 * The database of this server, opened at the first call.
 * @throws {DatabaseRefused} with a sentence when it cannot be opened; the next call tries again
 */
export function roan(): Promise<OpenDatabase> {
  holder.roanDatabase ??= (isPagesThread() ? openBeside() : open()).catch(error => {
    holder.roanDatabase = undefined;
    throw error;
  });
  return holder.roanDatabase;
}

const open = () =>
  openDatabase(
    process.env.ROAN_DATABASE_URL ?? DEFAULT_DATABASE_URL,
    process.env.ROAN_DATABASE_TOKEN,
    process.env.ROAN_DATABASE_REPLICA_URL,
  );
