import { accessSync, constants, existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { createClient, type Client } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { claimFile } from './claimFile';
import { asSentence, DatabaseRefused } from './databaseRefused';
import * as schema from './schema';
import { serverClient } from './serverClient';
import { orFrom, readNear } from './readNear';
import { takingTurns } from './takingTurns';
import { upgradeRecords } from './upgrade/upgradeRecords';
import { createWriteQueue } from './writeQueue';
import { writesWith } from './writerOf';
import type { RoanDatabase, OpenDatabase } from './database';

export const DEFAULT_DATABASE_URL = 'file:./data/roan.db';

const MIGRATIONS = path.join(process.cwd(), 'src/data/migrations');

/**
 * Opens the database, brings it up to date and claims it for this process.
 * @param url - `file:…` or the address of a libSQL server
 * @param replicaUrl - a copy of that server which is near: it is read from there as long as it is no older than what was written
 * @throws {DatabaseRefused} with a sentence: a folder that cannot be written, a file that is not Roan's, a database
 *   that a newer Roan made, or one that another process holds
 */
export async function openDatabase(url: string, authToken?: string, replicaUrl?: string): Promise<OpenDatabase> {
  const filePath = filePathOf(url);
  const claim = filePath === null ? null : await prepareFile(filePath);
  let client: Client | null = null;
  try {
    client = filePath === null ? await serverClient(url, authToken) : createClient({ url: `file:${filePath}` });
    if (filePath !== null) await client.execute('PRAGMA journal_mode = WAL');
    await refuseForeign(client, filePath ?? url);
    if (filePath !== null) await copyBeforeUpdate(client, filePath);
    const db = drizzle(filePath === null ? client : takingTurns(client), { schema });
    await upToDate(db, filePath === null);
    const opened = client;
    const copy = filePath === null && replicaUrl ? await serverClient(replicaUrl, authToken) : null;
    const near = copy && readNear(db, drizzle(orFrom(copy, client), { schema }), drizzle(copy, { schema }));
    const write = createWriteQueue(db, { shared: filePath === null, ...(near && { wrote: near.wrote }) });
    await write(upgradeRecords);
    const read = near?.db ?? db;
    writesWith(read, write);
    return {
      db: read,
      write,
      file: filePath !== null,
      close: async () => {
        await write.idle();
        near?.close();
        copy?.close();
        opened.close();
        await claim?.release();
      },
    };
  } catch (error) {
    client?.close();
    await claim?.release();
    throw asSentence(error);
  }
}

const MIGRATE_AGAIN_MS = [200, 800, 2000];

/** Brings the tables up to date. On a server another Roan may be doing so at this moment: then it is looked once more. */
async function upToDate(db: RoanDatabase, shared: boolean): Promise<void> {
  for (const waitMs of shared ? MIGRATE_AGAIN_MS : []) {
    try {
      return await migrate(db, { migrationsFolder: MIGRATIONS });
    } catch {
      await new Promise(resolve => setTimeout(resolve, waitMs * (0.5 + Math.random())));
    }
  }
  await migrate(db, { migrationsFolder: MIGRATIONS });
}

/** The path a `file:` URL names, absolute; null for a server. */
export function filePathOf(url: string): string | null {
  if (!url.startsWith('file:')) {
    if (/^(libsql|https?|wss?):/.test(url)) return null;
    throw new DatabaseRefused(
      `ROAN_DATABASE_URL “${url}” is neither a file nor a server: write file:./data/roan.db, or the address of a libSQL server.`,
    );
  }
  const named = url.startsWith('file://') ? fileURLToPath(url) : url.slice('file:'.length);
  return path.resolve(/* turbopackIgnore: true */ process.cwd(), named);
}

async function prepareFile(filePath: string) {
  const folder = path.dirname(filePath);
  try {
    mkdirSync(folder, { recursive: true });
    accessSync(folder, constants.W_OK);
    if (existsSync(filePath)) accessSync(filePath, constants.W_OK);
  } catch (error) {
    throw new DatabaseRefused(
      `Roan cannot write to ${folder}, where its database belongs. Make the folder writable, or set ROAN_DATABASE_URL to another place.`,
      { cause: error },
    );
  }
  return claimFile(filePath);
}

/** Refuses a database that something else made, or that a newer Roan has already changed. */
async function refuseForeign(client: Client, where: string): Promise<void> {
  const tables = (await client.execute("SELECT name FROM sqlite_master WHERE type = 'table'")).rows.map(row =>
    String(row.name),
  );
  const own = tables.filter(name => !name.startsWith('sqlite_') && !name.startsWith('libsql_'));
  // Begun a moment ago, by another Roan or by one that was ended before it was done: the tables come with the migrations.
  if (own.length === 0 || own.join() === '__drizzle_migrations') return;
  if (!own.includes('__drizzle_migrations') || !own.includes('yards'))
    throw new DatabaseRefused(`${where} is a database, but not one of Roan’s. Nothing in it was changed.`);
  const applied = await client.execute('SELECT max(created_at) AS newest FROM __drizzle_migrations');
  if (Number(applied.rows[0]?.newest ?? 0) > newestKnownMigration())
    throw new DatabaseRefused(
      `${where} was made by a newer Roan than this one. Nothing in it was changed: update Roan, or use another database.`,
    );
}

/** So many copies of before an update are kept. */
const KEPT_COPIES = 3;

/**
 * Keeps a copy of a database that an older Roan made before anything in it is changed: beside the backups, whole by itself.
 * @throws {DatabaseRefused} where there is no room for it: then nothing is changed
 */
async function copyBeforeUpdate(client: Client, filePath: string): Promise<void> {
  const applied = await appliedMigration(client);
  if (applied === null || applied >= newestKnownMigration()) return;
  const folder = path.join(path.dirname(filePath), 'backups');
  const base = `${path.basename(filePath)}-before-update-`;
  const copy = path.join(folder, `${base}${new Date().toISOString().replace(/[:.]/g, '-')}.db`);
  try {
    mkdirSync(folder, { recursive: true });
    await client.execute({ sql: 'VACUUM INTO ?', args: [copy] });
  } catch (error) {
    if (existsSync(copy)) rmSync(copy);
    throw new DatabaseRefused(
      `Before an update Roan keeps a copy of its database in ${folder}, and could not. Nothing was changed: make room there, and start it again.`,
      { cause: error },
    );
  }
  const copies = readdirSync(folder)
    .filter(name => name.startsWith(base))
    .sort();
  for (const old of copies.slice(0, -KEPT_COPIES)) rmSync(path.join(folder, old), { force: true });
}

/** When the last change of its tables was made for, of a database of Roan's; null for one that is new. */
async function appliedMigration(client: Client): Promise<number | null> {
  const known = await client.execute(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name = '__drizzle_migrations'",
  );
  if (known.rows.length === 0) return null;
  const applied = await client.execute('SELECT max(created_at) AS newest FROM __drizzle_migrations');
  const newest = applied.rows[0]?.newest;
  return newest === null || newest === undefined ? null : Number(newest);
}

function newestKnownMigration(): number {
  const journal = JSON.parse(readFileSync(path.join(MIGRATIONS, 'meta/_journal.json'), 'utf8')) as {
    entries: { when: number }[];
  };
  return Math.max(...journal.entries.map(entry => entry.when));
}
