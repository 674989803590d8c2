import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { createSync, type Delivery } from './createSync';
import { openDeviceStore } from './deviceStore';
import { keepAndSend } from './keepAndSend';
import { forgetKnown, keepAnswer, knownAnswer } from './knownStore';

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

const syncs: ReturnType<typeof createSync>[] = [];
afterEach(() => syncs.splice(0).forEach(sync => sync.close()));

function syncThat(deliver: (yard: string | undefined) => Promise<Delivery>, openStore = openDeviceStore) {
  const sync = createSync({
    ...{ oneSender: (work: () => Promise<void>) => work(), tryAgainMs: 5, openStore: () => openStore() },
    deliver: (_box, _events, yard) => deliver(yard),
    yard: () => 'the yard of the page',
  });
  syncs.push(sync);
  return sync;
}

test('what gets through is sent, with the yard that it was made in', async () => {
  const yards: (string | undefined)[] = [];
  const sync = syncThat(async yard => {
    yards.push(yard);
    return { kind: 'taken' };
  });
  expect(await keepAndSend(sync, 'test:1', [{ id: 1 }, { id: 2 }], 2000)).toEqual({ kind: 'sent' });
  expect(yards).toEqual(['the yard of the page']);
  sync.add('test:2', [{ id: 3 }], 'another yard');
  await sync.idle();
  expect(yards).toEqual(['the yard of the page', 'another yard']);
});

test('what does not get through is kept, and sent later', async () => {
  let there = false;
  const sync = syncThat(async () => (there ? { kind: 'taken' } : { kind: 'later', problem: 'No server.' }));
  expect(await keepAndSend(sync, 'test:1', [{ id: 1 }], 2000)).toEqual({ kind: 'kept', problem: 'No server.' });
  expect(await (await openDeviceStore()).all()).toHaveLength(1);
  there = true;
  for (let tries = 0; tries < 200 && sync.state().rows?.length; tries += 1) await new Promise(r => setTimeout(r, 5));
  expect(sync.state().rows).toEqual([]);
});

test('what is refused is told and not kept: whoever made it has it still', async () => {
  const sync = syncThat(async () => ({ kind: 'never', problem: 'This horse is not in the yard any more.' }));
  expect(await keepAndSend(sync, 'test:1', [{ id: 1 }], 2000)).toEqual({
    ...{ kind: 'refused', problem: 'This horse is not in the yard any more.' },
  });
  await sync.idle();
  expect(sync.state().rows).toEqual([]);
});

test('where the device keeps nothing it is said to be in this page alone', async () => {
  const sync = syncThat(
    async () => ({ kind: 'later', problem: 'No server.' }),
    async () => {
      throw new Error('no storage');
    },
  );
  expect(await keepAndSend(sync, 'test:1', [{ id: 1 }], 2000)).toEqual({ kind: 'in-page', problem: 'No server.' });
});

test('a server that says nothing for long is not waited for', async () => {
  const sync = syncThat(() => new Promise(() => undefined));
  expect(await keepAndSend(sync, 'test:1', [{ id: 1 }], 60)).toMatchObject({ kind: 'kept' });
});

test('the last answer to a box is known again, the old ones of others go, and all of them when somebody leaves', async () => {
  const day = 24 * 3600 * 1000;
  await keepAnswer('lesson:1', { number: 3, body: { log: 'three' } }, 0);
  await Promise.all([
    keepAnswer('lesson:2', { number: 7, body: { log: 'seven' } }, 10 * day),
    keepAnswer('lesson:2', { number: 8, body: { log: 'eight' } }, 10 * day),
  ]);
  expect(await knownAnswer('lesson:1')).toMatchObject({ number: 3, body: { log: 'three' } });
  expect(await knownAnswer('lesson:2')).toMatchObject({ number: 8, body: { log: 'eight' } });
  await keepAnswer('lesson:3', { number: 1, body: {} }, 15 * day);
  expect(await knownAnswer('lesson:1')).toBeNull();
  expect(await knownAnswer('lesson:2')).not.toBeNull();
  await forgetKnown();
  expect(await knownAnswer('lesson:2')).toBeNull();
});
