import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createClient } from '@libsql/client';
import { eq } from 'drizzle-orm';
import { DatabaseRefused } from './databaseRefused';
import { openDatabase } from './openDatabase';
import { currentYard } from './queries/yards';
import { horses, pairs, yards } from './schema';
import { withTestDatabase } from './testDatabase';

let folder: string;
beforeEach(() => (folder = mkdtempSync(path.join(tmpdir(), 'roan-open-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const urlOf = (name: string) => `file:${path.join(folder, name)}`;

test('a new file is made with its folder, and what was written is there when it is opened again', async () => {
  const url = urlOf('deep/down/roan.db');
  const first = await openDatabase(url);
  const yard = await currentYard(first);
  await first.close();
  const second = await openDatabase(url);
  expect(await currentYard(second)).toEqual(yard);
  await second.close();
});

test('a second Roan on the same file is refused, and let in once the first is closed', async () => {
  const first = await openDatabase(urlOf('roan.db'));
  await expect(openDatabase(urlOf('roan.db'))).rejects.toThrow('Another Roan is already running');
  await first.close();
  await (await openDatabase(urlOf('roan.db'))).close();
});

test('a Roan with other settings is refused on the same file too, and let in when the first was killed', async () => {
  const first = spawn(
    process.execPath,
    [
      '-e',
      `const Database = require('libsql');
       const lock = new Database(${JSON.stringify(path.join(folder, 'roan.db.claim'))}, { timeout: 0 });
       lock.exec('PRAGMA journal_mode = MEMORY');
       lock.exec('BEGIN EXCLUSIVE');
       console.log('held');
       setInterval(() => undefined, 1000);`,
    ],
    { env: { ...process.env, TMPDIR: path.join(folder, 'elsewhere') } },
  );
  await once(first.stdout, 'data');
  await expect(openDatabase(urlOf('roan.db'))).rejects.toThrow('Another Roan is already running');
  first.kill('SIGKILL');
  await once(first, 'exit');
  await (await openDatabase(urlOf('roan.db'))).close();
});

test('another program’s database is refused and left as it was', async () => {
  const client = createClient({ url: urlOf('other.db') });
  await client.execute('CREATE TABLE recipes (name TEXT)');
  client.close();
  await expect(openDatabase(urlOf('other.db'))).rejects.toThrow('not one of Roan’s');
  const again = createClient({ url: urlOf('other.db') });
  expect((await again.execute("SELECT name FROM sqlite_master WHERE type = 'table'")).rows).toHaveLength(1);
  again.close();
});

test('a database that a newer Roan made is refused', async () => {
  await (await openDatabase(urlOf('roan.db'))).close();
  const client = createClient({ url: urlOf('roan.db') });
  await client.execute("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 99999999999999)");
  client.close();
  await expect(openDatabase(urlOf('roan.db'))).rejects.toThrow('made by a newer Roan');
});

test('a file that is no database, and an address that is none, are refused in a sentence', async () => {
  writeFileSync(path.join(folder, 'note.db'), 'dear diary, today the mare went well'.repeat(50));
  await expect(openDatabase(urlOf('note.db'))).rejects.toThrow('not a database that Roan can read');
  await expect(openDatabase('roan.db')).rejects.toThrow(/neither a file nor a server/);
});

test('a folder that cannot be written is refused in a sentence', async () => {
  // A file where the folder should be: root may write everywhere, so permissions alone would not tell.
  writeFileSync(path.join(folder, 'data'), '');
  await expect(openDatabase(urlOf('data/roan.db'))).rejects.toThrow('cannot write to');
  chmodSync(folder, 0o500);
  if (process.getuid?.() !== 0) await expect(openDatabase(urlOf('roan.db'))).rejects.toThrow('cannot write to');
  chmodSync(folder, 0o700);
});

test('a hundred writes at once all arrive, one after the other', async () => {
  await withTestDatabase(async ({ db, write }) => {
    await write(tx => tx.insert(yards).values({ id: 'y', name: '0', timeZone: 'UTC' }));
    const addOne = () =>
      write(async tx => {
        const [yard] = await tx.select().from(yards).where(eq(yards.id, 'y'));
        await tx
          .update(yards)
          .set({ name: String(Number(yard!.name) + 1) })
          .where(eq(yards.id, 'y'));
      });
    await Promise.all(Array.from({ length: 100 }, addOne));
    expect((await db.select().from(yards))[0]!.name).toBe('100');
  });
});

test('a write that fails leaves nothing behind and does not stop the next', async () => {
  await withTestDatabase(async ({ db, write }) => {
    const half = write(async tx => {
      await tx.insert(yards).values({ id: 'half', name: 'half done', timeZone: 'UTC' });
      throw new Error('pulled the plug');
    });
    await expect(half).rejects.toThrow(DatabaseRefused);
    await write(tx => tx.insert(yards).values({ id: 'whole', name: 'whole', timeZone: 'UTC' }));
    expect((await db.select().from(yards)).map(yard => yard.id)).toEqual(['whole']);
  });
});

test('foreign keys hold, also inside transactions', async () => {
  await withTestDatabase(async ({ db, write }) => {
    const yard = await currentYard({ db, write, close: async () => undefined });
    const orphan = write(tx =>
      tx.insert(pairs).values({ id: 'p', yardId: yard.id, riderId: 'nobody', horseId: 'none' }),
    );
    await expect(orphan).rejects.toThrow(DatabaseRefused);
    const stray = write(tx =>
      tx.insert(horses).values({ id: 'h', yardId: 'nowhere', name: 'x', heightM: 1.5, type: 'cob' }),
    );
    await expect(stray).rejects.toThrow(DatabaseRefused);
  });
});
