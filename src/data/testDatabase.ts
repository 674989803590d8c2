import { cpSync, existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { openDatabase } from './openDatabase';
import type { OpenDatabase } from './database';
import { startTestServer, type TestServer } from './testServer';

/**
 * What is in a database before a test: filled once for all tests of a file, and for all of a run where it has a name; on top of
 * what else is in it.
 */
export type Fill = ((database: OpenDatabase) => Promise<void>) & { once?: string; on?: Fill };

/** A store with its tables and nothing in them. */
const EMPTY: Fill = Object.assign(() => Promise.resolve(), { once: 'empty' });

/** The folders that were filled: each test begins with a copy of one. */
const filled = new Map<Fill | string, Promise<string>>();

/**
 * For tests: a database of its own, gone afterwards. In a folder of its own, or, with ROAN_TEST_STORE=server, on a libSQL
 * server of its own: the same tests hold there.
 * @param fill - what is in it
 */
export async function withTestDatabase(
  test: (database: OpenDatabase, url: string) => Promise<void>,
  fill: Fill = EMPTY,
): Promise<void> {
  const folder = newFolder();
  try {
    cpSync(await filledWith(fill), folder, { recursive: true });
    await withStore(folder, test);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

function filledWith(fill: Fill): Promise<string> {
  const key = fill.once ?? fill;
  const already = filled.get(key);
  if (already) return already;
  const now = fill.once ? filledForTheRun(fill, fill.once) : filledForTheFile(fill);
  filled.set(key, now);
  return now;
}

async function filledForTheFile(fill: Fill): Promise<string> {
  const folder = newFolder();
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
  if (fill.on) cpSync(await filledWith(fill.on), folder, { recursive: true });
  await withStore(folder, fill);
  return folder;
}

/** The files of a run are tested in processes of their own: what one has filled the others take. */
async function filledForTheRun(fill: Fill, name: string): Promise<string> {
  const ofTheRun = process.env.ROAN_TEST_FILLED;
  if (!ofTheRun) return filledForTheFile(fill);
  const folder = path.join(ofTheRun, `${name}-${process.env.ROAN_TEST_STORE ?? 'file'}`);
  if (existsSync(folder)) return folder;
  const making = mkdtempSync(path.join(ofTheRun, 'making-'));
  await withStore(making, fill);
  try {
    renameSync(making, folder);
  } catch (error) {
    // Two began at once, and the other was first.
    if (!existsSync(folder)) throw error;
  }
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
