import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { openDatabase, type OpenDatabase } from './openDatabase';

/** For tests: a database of its own in a folder of its own, gone afterwards. */
export async function withTestDatabase(test: (database: OpenDatabase, url: string) => Promise<void>): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'roan-test-'));
  const url = `file:${path.join(folder, 'test.db')}`;
  const database = await openDatabase(url);
  try {
    await test(database, url);
  } finally {
    await database.close();
    rmSync(folder, { recursive: true, force: true });
  }
}
