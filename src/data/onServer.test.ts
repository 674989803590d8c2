import { spawn } from 'node:child_process';
import path from 'node:path';
import { and, eq } from 'drizzle-orm';
import { DatabaseRefused, isPassing, StoreFault } from './databaseRefused';
import { seedDemo } from './demo/seedDemo';
import { openDatabase } from './openDatabase';
import type { OpenDatabase } from './database';
import { leaveLease, takeLease } from './queries/leases';
import { findLayout, listLayouts, saveLayout } from './queries/layouts';
import { storeSecret } from './queries/storeSecrets';
import { currentYard, listYards } from './queries/yards';
import { settings } from './schema';
import { startTestServer, type TestServer } from './testServer';

/** Roans beside each other on one libSQL server, which is a real one. */

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');
jest.setTimeout(120_000);

const open: OpenDatabase[] = [];
const servers: TestServer[] = [];
afterEach(async () => {
  for (const one of open.splice(0)) await one.close();
  for (const one of servers.splice(0)) await one.stop();
});

async function server(...given: Parameters<typeof startTestServer>): Promise<TestServer> {
  const one = await startTestServer(...given);
  servers.push(one);
  return one;
}

async function roanOn(store: TestServer, replica?: TestServer): Promise<OpenDatabase> {
  const one = await openDatabase(store.url, undefined, replica?.url);
  open.push(one);
  return one;
}

const own = (yardId: string, key: string) => and(eq(settings.yardId, yardId), eq(settings.key, key));

/** Reads a number and writes the next one: whoever reads what another is about to change loses one. */
async function countUp({ write }: OpenDatabase, yardId: string, key = 'count'): Promise<void> {
  await write(async tx => {
    const [row] = await tx.select().from(settings).where(own(yardId, key));
    const value = Number(row?.value ?? 0) + 1;
    await tx
      .insert(settings)
      .values({ yardId, key, value })
      .onConflictDoUpdate({ target: [settings.yardId, settings.key], set: { value } });
  });
}

async function counted({ db }: OpenDatabase, yardId: string, key = 'count'): Promise<number> {
  const [row] = await db.select().from(settings).where(own(yardId, key));
  return Number(row?.value ?? 0);
}

test('three that start at once on an empty store make one yard of it', async () => {
  const store = await server();
  const roans = await Promise.all([roanOn(store), roanOn(store), roanOn(store)]);
  const yards = await Promise.all(roans.map(currentYard));
  expect(new Set(yards.map(({ id }) => id)).size).toBe(1);
  expect(await listYards(roans[0]!.db)).toHaveLength(1);
});

test('200 writers at once on two Roans: each counts, none is lost', async () => {
  const store = await server();
  const [one, two] = [await roanOn(store), await roanOn(store)];
  const { id } = await currentYard(one);
  await Promise.all(Array.from({ length: 200 }, (_, at) => countUp(at % 2 ? one : two, id)));
  expect(await counted(one, id)).toBe(200);
  expect(await counted(two, id)).toBe(200);
});

test('a drag that is saved on one Roan is seen on the other, and one made over what was there before is refused', async () => {
  const store = await server();
  const [one, two] = [await roanOn(store), await roanOn(store)];
  await seedDemo(one, NOW_MS);
  const { id: yardId } = await currentYard(two);
  const [first] = await listLayouts(two.db, yardId);
  const layout = (await findLayout(two.db, yardId, first!.id))!;
  const change = (name: string) => ({ layoutId: layout.id, baseRevision: layout.revision, name, plan: layout.plan });
  await one.write(tx => saveLayout(tx, yardId, change('Dragged'), NOW_MS));
  expect((await findLayout(two.db, yardId, layout.id))?.name).toBe('Dragged');
  const late = await two.write(tx => saveLayout(tx, yardId, change('Dragged too'), NOW_MS));
  expect(late).toMatchObject({ kind: 'stale' });
  expect((await findLayout(one.db, yardId, layout.id))?.name).toBe('Dragged');
});

test('the server killed in the middle of writes: what was acknowledged is there, and both go on', async () => {
  const store = await server();
  const [one, two] = [await roanOn(store), await roanOn(store)];
  const { id } = await currentYard(one);
  let acknowledged = 0;
  let refused = 0;
  const writers = Array.from({ length: 60 }, async (_, at) => {
    await new Promise(resolve => setTimeout(resolve, at * 20));
    await countUp(at % 2 ? one : two, id)
      .then(() => (acknowledged += 1))
      .catch((error: unknown) => {
        expect(error).toBeInstanceOf(StoreFault);
        refused += 1;
      });
  });
  await new Promise(resolve => setTimeout(resolve, 400));
  await store.kill();
  await new Promise(resolve => setTimeout(resolve, 500));
  await store.start();
  await Promise.all(writers);
  const now = await counted(one, id);
  expect(acknowledged + refused).toBe(60);
  // One whose last answer was lost may be there: whoever sent it sends it again, and it counts once.
  expect(now).toBeGreaterThanOrEqual(acknowledged);
  expect(now).toBeLessThanOrEqual(60);
  expect(acknowledged).toBeGreaterThan(40);
  await countUp(two, id);
  expect(await counted(one, id)).toBe(now + 1);
});

test('a Roan that is killed in the middle of a write leaves nothing of it, and holds the others up for no longer than seconds', async () => {
  const store = await server();
  const one = await roanOn(store);
  const { id } = await currentYard(one);
  await countUp(one, id);
  // Another process begins to write, and is ended before it is done.
  const script = `
    const { createClient } = require('@libsql/client');
    (async () => {
      const tx = await createClient({ url: process.argv[1] }).transaction('write');
      await tx.execute({ sql: 'update settings set value = 99 where yard_id = ?', args: [process.argv[2]] });
      console.log('in the middle');
      setTimeout(() => undefined, 60000);
    })();`;
  const child = spawn(process.execPath, ['-e', script, store.url, id], { cwd: path.resolve('.') });
  await new Promise<void>((resolve, reject) => {
    child.stdout.on('data', () => resolve());
    child.stderr.on('data', (chunk: Buffer) => reject(new Error(chunk.toString())));
  });
  child.kill('SIGKILL');
  const startedAt = Date.now();
  await countUp(one, id);
  expect(Date.now() - startedAt).toBeLessThan(15_000);
  expect(await counted(one, id)).toBe(2);
});

test('what one Roan does alone the other does not, until it is left or its time is over', async () => {
  const store = await server();
  const [one, two] = [await roanOn(store), await roanOn(store)];
  const take = (roan: OpenDatabase, holder: string, atMs: number) =>
    roan.write(tx => takeLease(tx, 'backups', holder, atMs, 1000));
  const first = await Promise.all([take(one, 'one', NOW_MS), take(two, 'two', NOW_MS)]);
  expect(first.filter(Boolean)).toHaveLength(1);
  const [holder, other] = first[0] ? (['one', 'two'] as const) : (['two', 'one'] as const);
  expect(await take(one, holder, NOW_MS + 500)).toBe(true);
  expect(await take(two, other, NOW_MS + 1200)).toBe(false);
  expect(await take(two, other, NOW_MS + 1600)).toBe(true);
  await one.write(tx => leaveLease(tx, 'backups', holder));
  expect(await take(one, holder, NOW_MS + 1700)).toBe(false);
  await two.write(tx => leaveLease(tx, 'backups', other));
  expect(await take(one, holder, NOW_MS + 1800)).toBe(true);
});

test('all Roans of a store have one secret, whoever asks first', async () => {
  const store = await server();
  const [one, two] = [await roanOn(store), await roanOn(store)];
  const asked = await Promise.all(
    [one, two].map(({ write }, at) => write(tx => storeSecret(tx, 'session', `of ${at}`))),
  );
  expect(new Set(asked).size).toBe(1);
});

test('read from a copy that lags behind, nothing older is told than what was written here', async () => {
  const store = await server();
  const copy = await server({ primary: store });
  const near = await roanOn(store, copy);
  const { id } = await currentYard(near);
  for (let at = 1; at <= 30; at += 1) {
    await countUp(near, id);
    expect(await counted(near, id)).toBe(at);
  }
  // While the copy does nothing at all it is read at the store.
  copy.pause();
  await countUp(near, id);
  expect(await counted(near, id)).toBe(31);
  copy.goOn();
  // Once it has all of it, it is the copy that is read: the store may be away.
  await new Promise(resolve => setTimeout(resolve, 1000));
  store.pause();
  expect(await counted(near, id)).toBe(31);
  store.goOn();
});

test('a copy that is killed is done without', async () => {
  const store = await server();
  const copy = await server({ primary: store });
  const near = await roanOn(store, copy);
  const { id } = await currentYard(near);
  await countUp(near, id);
  await copy.kill();
  await countUp(near, id);
  expect(await counted(near, id)).toBe(2);
});

test.each(['kill', 'pause'] as const)('a copy that is read and dies under a question (%s) is not felt', async how => {
  const store = await server();
  const copy = await server({ primary: store });
  const near = await roanOn(store, copy);
  const { id } = await currentYard(near);
  await countUp(near, id);
  // It has all of it by then, and is what is read.
  await new Promise(resolve => setTimeout(resolve, 1000));
  store.pause();
  expect(await counted(near, id)).toBe(1);
  store.goOn();
  await copy[how]();
  expect(await counted(near, id)).toBe(1);
  expect(await Promise.all([1, 2, 3].map(() => counted(near, id)))).toEqual([1, 1, 1]);
  if (how === 'pause') copy.goOn();
});

test('what passes is told from what stays', () => {
  const queried = (cause: string) =>
    new Error('Failed query: insert into x\nparams: database is locked', { cause: new Error(cause) });
  expect(isPassing(queried('SQLITE_BUSY: database is locked'))).toBe(true);
  expect(isPassing(queried('fetch failed'))).toBe(true);
  expect(isPassing(queried('UNIQUE constraint failed: saves.id'))).toBe(false);
  expect(isPassing(new DatabaseRefused('fetch failed'))).toBe(false);
});
