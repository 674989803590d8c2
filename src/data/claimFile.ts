import Database from 'libsql';
import { rmSync } from 'node:fs';
import { DatabaseRefused } from './databaseRefused';

/**
 * Claims a database file for this process, so that a second server on it is refused, whatever its settings are. The claim is a lock on
 * a file beside the database, which the system gives back when the process ends, however it ends; the file itself says nothing.
 * @throws {DatabaseRefused} another process holds the file
 */
export async function claimFile(filePath: string): Promise<{ release: () => Promise<void> }> {
  const claim = `${filePath}.claim`;
  const lock = new Database(claim, { timeout: 0 });
  try {
    // Nothing is ever written there: the lock needs no room on a full disk.
    lock.exec('PRAGMA journal_mode = MEMORY');
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if ((error as { code?: string }).code !== 'SQLITE_BUSY') throw error;
    throw new DatabaseRefused(
      `Another Roan is already running on ${filePath}. Use that one, stop it, or set ROAN_DATABASE_URL to another file.`,
      { cause: error },
    );
  }
  return {
    async release() {
      lock.close();
      rmSync(claim, { force: true });
    },
  };
}
