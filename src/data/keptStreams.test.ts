import { createClient, type Client } from '@libsql/client';
import { WsClient } from '@libsql/hrana-client';
import { keepStreams } from './keptStreams';
import { startTestServer, type TestServer } from './testServer';

let server: TestServer;
let client: Client;
let opened = 0;

beforeAll(async () => {
  const open = WsClient.prototype.openStream;
  WsClient.prototype.openStream = function (this: WsClient) {
    opened += 1;
    return open.call(this);
  };
  keepStreams();
  server = await startTestServer();
  client = createClient({ url: server.url.replace('http', 'ws') });
  await client.execute('create table things (id integer primary key, name text not null)');
}, 60_000);

afterAll(async () => {
  client.close();
  await server.stop();
});

const count = async () => Number((await client.execute('select count(*) as n from things')).rows[0]!.n);
const add = (name: string | null) => ({ sql: 'insert into things (name) values (?)', args: [name] });

test('questions and transactions one after another go round on a few streams', async () => {
  await count();
  const before = opened;
  for (let at = 0; at < 20; at += 1) {
    await count();
    const tx = await client.transaction('write');
    await tx.execute(add(`thing ${at}`));
    await tx.commit();
  }
  // One is still giving up its transaction while the next is asked: a few go round, and not one for each of the forty.
  expect(opened - before).toBeLessThanOrEqual(3);
  expect(await count()).toBe(20);
});

test('a transaction that is left, or fails, is given up and holds nobody up', async () => {
  const before = await count();
  const left = await client.transaction('write');
  await left.execute(add('left'));
  left.close();
  const failed = await client.transaction('write');
  await failed.execute(add('kept by none'));
  await expect(failed.execute(add(null))).rejects.toThrow(/NOT NULL/);
  await failed.rollback();
  expect(await count()).toBe(before);
  const next = await client.transaction('write');
  await next.execute(add('next'));
  await next.commit();
  expect(await count()).toBe(before + 1);
});

test('each that asks at once has a stream of its own, and none sees what another has not written yet', async () => {
  const before = await count();
  const tx = await client.transaction('write');
  await tx.execute(add('not yet'));
  expect(await Promise.all(Array.from({ length: 15 }, count))).toEqual(Array(15).fill(before));
  await tx.commit();
  expect(await Promise.all(Array.from({ length: 15 }, count))).toEqual(Array(15).fill(before + 1));
});

test('a question that fails spoils none after it', async () => {
  await expect(client.execute('select nothing from nowhere')).rejects.toThrow();
  await expect(client.execute(add(null))).rejects.toThrow(/NOT NULL/);
  expect(await count()).toBeGreaterThan(0);
});
