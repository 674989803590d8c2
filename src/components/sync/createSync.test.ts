import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import fc from 'fast-check';
import { createSync, type Delivery, type SyncOptions } from './createSync';
import { openDeviceStore, type DeviceStore } from './deviceStore';

type Event = { id: string; words?: string };

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

const ids = (count: number, from = 'e') => Array.from({ length: count }, (_, i) => ({ id: `${from}${i}` }));
const quick = { oneSender: (work: () => Promise<void>) => work(), tryAgainMs: 1 };

/** A server that counts every event once, in order. */
function server(answer: (events: Event[]) => Delivery | 'loses-request' | 'loses-answer' = () => ({ kind: 'taken' })) {
  const taken: string[] = [];
  const deliver = async (_: string, sent: readonly unknown[]): Promise<Delivery> => {
    const events = sent as Event[];
    const said = answer(events);
    const kind = typeof said === 'string' ? said : said.kind;
    if (kind === 'taken' || kind === 'loses-answer')
      for (const { id } of events) if (!taken.includes(id)) taken.push(id);
    return typeof said === 'string' ? { kind: 'later', problem: said } : said;
  };
  return { taken, deliver };
}

const tabs: ReturnType<typeof createSync>[] = [];
afterEach(() => tabs.splice(0).forEach(one => one.close()));

function tab(deliver: SyncOptions['deliver'], more: Partial<SyncOptions> = {}) {
  const sync = createSync({ ...quick, openStore: openDeviceStore, deliver, ...more });
  tabs.push(sync);
  return sync;
}

/** Until nothing waits any more, or for a second. */
async function settled(sync: ReturnType<typeof tab>, isDone: () => boolean): Promise<void> {
  for (let i = 0; i < 1000 && !isDone(); i += 1) await new Promise(resolve => setTimeout(resolve, 1));
  await sync.idle();
}

test('through any run of lost requests and lost answers every event arrives once, in order', async () => {
  const outcome = fc.constantFrom('taken' as const, 'loses-request' as const, 'loses-answer' as const);
  await fc.assert(
    fc.asyncProperty(fc.array(outcome, { maxLength: 6 }), fc.integer({ min: 1, max: 12 }), async (outcomes, count) => {
      globalThis.indexedDB = new IDBFactory();
      const left = [...outcomes];
      const { taken, deliver } = server(() => {
        const next = left.shift() ?? 'taken';
        return next === 'taken' ? { kind: 'taken' } : next;
      });
      const sync = tab(deliver);
      for (const event of ids(count)) sync.add('box', [event]);
      await settled(sync, () => sync.state().rows?.length === 0);
      expect(taken).toEqual(ids(count).map(({ id }) => id));
      expect(sync.state()).toEqual({ rows: [], problem: null });
      expect(await (await openDeviceStore()).all()).toEqual([]);
    }),
    { numRuns: 40 },
  );
}, 60_000);

test('an event is on the device before it is sent, and what the page shows says which it is', async () => {
  const seen: number[] = [];
  const sync = tab(async () => {
    seen.push((await (await openDeviceStore()).all()).length);
    return { kind: 'later', problem: 'no answer' };
  });
  sync.add('box', [{ id: 'a' }]);
  expect(sync.state().rows).toMatchObject([{ keptIn: 'writing' }]);
  await settled(sync, () => seen.length > 0);
  expect(seen[0]).toBe(1);
  expect(sync.state()).toMatchObject({ rows: [{ keptIn: 'device', event: { id: 'a' } }], problem: 'no answer' });
});

test('a refused event is set aside with its reason, alone; those about it arrive', async () => {
  const { taken, deliver } = server(events =>
    events.some(({ id }) => id === 'e2') ? { kind: 'never', problem: 'no such pass' } : { kind: 'taken' },
  );
  const sync = tab(deliver);
  sync.add('box', ids(5));
  sync.add('other', ids(2, 'o'));
  await settled(sync, () => sync.state().rows?.length === 1);
  expect(taken.sort()).toEqual(['e0', 'e1', 'e3', 'e4', 'o0', 'o1']);
  expect(sync.state().rows).toMatchObject([{ refused: 'no such pass', event: { id: 'e2' } }]);
  // It stays set aside after a restart of the browser, and is dropped or mended one by one.
  const again = tab(deliver);
  await settled(again, () => again.state().rows !== null);
  expect(again.state().rows).toMatchObject([{ refused: 'no such pass', keptIn: 'device' }]);
  await again.mend(again.state().rows![0]!.key, { id: 'mended' });
  await settled(again, () => again.state().rows?.length === 0);
  expect(taken).toContain('mended');
  expect(await (await openDeviceStore()).all()).toEqual([]);
});

test('what is dropped is gone from the device', async () => {
  const sync = tab(async () => ({ kind: 'never', problem: 'no' }));
  sync.add('box', ids(2));
  await settled(sync, () => sync.state().rows?.every(({ refused }) => refused !== null) ?? false);
  for (const { key } of [...sync.state().rows!]) await sync.drop(key);
  expect(sync.state().rows).toEqual([]);
  expect(await (await openDeviceStore()).all()).toEqual([]);
});

test('two tabs on one box: what both said arrives, each once, also what a closed tab left', async () => {
  const { taken, deliver } = server();
  const closed = tab(async () => ({ kind: 'later', problem: 'no connection' }), { tryAgainMs: 1e6 });
  closed.add('box', ids(3, 'a'));
  await closed.idle();
  // Events of two tabs in one millisecond have no order: these were noted one after the other.
  await new Promise(resolve => setTimeout(resolve, 2));
  const open = tab(deliver);
  open.add('box', ids(2, 'b'));
  await settled(open, () => open.state().rows?.length === 0 && taken.length === 5);
  expect(taken).toEqual(['a0', 'a1', 'a2', 'b0', 'b1']);
});

/** A store that takes so many events and then is full. */
const fullAfter = (most: number) => async (): Promise<DeviceStore> => {
  const store = await openDeviceStore();
  let left = most;
  return {
    ...store,
    add: async rows => {
      left -= rows.length;
      if (left < 0) throw new DOMException('full', 'QuotaExceededError');
      return store.add(rows);
    },
  };
};

test('a full store is said, and what it did not keep is sent all the same, in order', async () => {
  let isThere = false;
  const { taken, deliver } = server(() => (isThere ? { kind: 'taken' } : 'loses-request'));
  const sync = tab(deliver, { openStore: fullAfter(2) });
  for (const event of ids(4)) sync.add('box', [event]);
  await settled(sync, () => sync.state().problem !== null);
  expect(sync.state().rows?.map(({ keptIn }) => keptIn)).toEqual(['device', 'device', 'page', 'page']);
  isThere = true;
  await settled(sync, () => sync.state().rows?.length === 0);
  expect(taken).toEqual(['e0', 'e1', 'e2', 'e3']);
});

test.each([
  ['that cannot be opened', () => Promise.reject(new Error('forbidden'))],
  ['that never answers', () => new Promise<DeviceStore>(() => undefined)],
  [
    'that throws at everything',
    async (): Promise<DeviceStore> => {
      const no = () => Promise.reject(new Error('broken'));
      return { all: no, add: no, remove: no, refuse: no, mend: no };
    },
  ],
])('with a store %s it is said that nothing is kept, and all is sent', async (_, openStore) => {
  let isThere = false;
  const { taken, deliver } = server(() => (isThere ? { kind: 'taken' } : 'loses-request'));
  const sync = tab(deliver, { openStore, mostWriteMs: 20 });
  sync.add('box', ids(2));
  await settled(sync, () => sync.state().problem !== null);
  expect(sync.state().rows).toMatchObject([{ keptIn: 'page' }, { keptIn: 'page' }]);
  isThere = true;
  await settled(sync, () => sync.state().rows?.length === 0);
  expect(taken).toEqual(['e0', 'e1']);
});

test('a store that does not forget what was sent does not send it for ever', async () => {
  let calls = 0;
  const sync = tab(
    async () => {
      calls += 1;
      return { kind: 'taken' };
    },
    {
      openStore: async () => ({ ...(await openDeviceStore()), remove: () => Promise.reject(new Error('broken')) }),
    },
  );
  sync.add('box', ids(1));
  await settled(sync, () => calls > 0);
  sync.flush();
  await sync.idle();
  expect(calls).toBe(1);
  expect(sync.state().rows).toEqual([]);
});

test('batches are cut by bytes: long notes leave too, each as it is', async () => {
  const sizes: number[] = [];
  const sync = tab(async (_, events) => {
    sizes.push(JSON.stringify(events).length);
    return { kind: 'taken' };
  });
  const long = Array.from({ length: 40 }, (_, i) => ({ id: `n${i}`, words: 'ä'.repeat(2000) }));
  sync.add('box', long);
  sync.add('box', [{ id: 'huge', words: 'x'.repeat(100_000) }]);
  await settled(sync, () => sync.state().rows?.length === 0);
  expect(sizes.length).toBeGreaterThan(3);
  expect(sizes.filter(size => size > 64 * 1024)).toHaveLength(1);
});

test('of two tabs only one sends at a time', async () => {
  let running = 0;
  let most = 0;
  const deliver = async (): Promise<Delivery> => {
    running += 1;
    most = Math.max(most, running);
    await new Promise(resolve => setTimeout(resolve, 2));
    running -= 1;
    return { kind: 'taken' };
  };
  let last: Promise<unknown> = Promise.resolve();
  const oneSender = (work: () => Promise<void>) => (last = last.then(work)) as Promise<void>;
  const [one, two] = [tab(deliver, { oneSender }), tab(deliver, { oneSender })];
  for (let i = 0; i < 10; i += 1) {
    one.add('a', ids(1, `a${i}`));
    two.add('b', ids(1, `b${i}`));
  }
  await settled(one, () => one.state().rows?.length === 0);
  await settled(two, () => two.state().rows?.length === 0);
  expect(most).toBe(1);
});
