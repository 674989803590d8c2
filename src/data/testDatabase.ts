import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { openDatabase } from './openDatabase';
import type { OpenDatabase } from './database';
import { startTestServer, type TestServer } from './testServer';

type Fill = (database: OpenDatabase) => Promise<void>;

/** What was filled once for the tests of a file: each begins with a copy of it. */
const filled = new Map<Fill, Promise<string>>();

/**
 * For tests: a database of its own, gone afterwards. In a folder of its own, or, with ROAN_TEST_STORE=server, on a libSQL
 * server of its own: the same tests hold there.
 * @param fill - what is in it; the same function fills it once for all tests of a file
 */
export async function withTestDatabase(
  test: (database: OpenDatabase, url: string) => Promise<void>,
  fill?: Fill,
): Promise<void> {
  const folder = newFolder();
  try {
    if (fill) {
      if (!filled.has(fill)) filled.set(fill, fillOnce(fill));
      cpSync(await filled.get(fill)!, folder, { recursive: true });
    }
    await withStore(folder, test);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

async function fillOnce(fill: Fill): Promise<string> {
  const folder = newFolder();
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
  await withStore(folder, fill);
  return folder;
}

const newFolder = () => mkdtempSync(path.join(tmpdir(), 'roan-test-'));

async function withStore(folder: string, work: (database: OpenDatabase, url: string) => Promise<void>): Promise<void> {
  const server: TestServer | null = process.env.ROAN_TEST_STORE === 'server' ? await startTestServer({ folder }) : null;
  const url = server?.url ?? `file:${path.join(folder, 'test.db')}`;
  try {
    const database = await openDatabase(url);
    try {
      await work(database, url);
    } finally {
      await database.close();
    }
  } finally {
    await server?.stop();
  }
}
