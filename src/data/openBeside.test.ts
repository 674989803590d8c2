import { EventEmitter } from 'node:events';
import { openBeside } from './openBeside';
import { keeperOf, type Finding } from './queries/kept/findings';
import { listYards } from './queries/yards';
import { withTestDatabase } from './testDatabase';
import { demoAt } from './testDemo';

/** What the thread that makes pages says to the one that takes taps. */
const mockPort = Object.assign(new EventEmitter(), {
  said: [] as { number: number; finding: Finding }[],
  postMessage: (one: { number: number; finding: Finding }) => void mockPort.said.push(one),
});
jest.mock('node:worker_threads', () => ({
  get parentPort() {
    return mockPort;
  },
}));

const openDatabase = jest.fn();
jest.mock('./openDatabase', () => {
  const really = jest.requireActual('./openDatabase');
  return {
    ...really,
    openDatabase: (url: string, ...others: unknown[]) =>
      url.startsWith('libsql:') ? openDatabase(url, ...others) : really.openDatabase(url, ...others),
  };
});

const before = process.env.ROAN_DATABASE_URL;
beforeEach(() => void (mockPort.said.length = 0));
afterEach(() => {
  mockPort.removeAllListeners();
  if (before === undefined) delete process.env.ROAN_DATABASE_URL;
  else process.env.ROAN_DATABASE_URL = before;
});

/** The store that a server serves, once more. */
async function beside(work: (opened: Awaited<ReturnType<typeof openBeside>>) => Promise<void>): Promise<void> {
  await withTestDatabase(
    async (database, url) => {
      process.env.ROAN_DATABASE_URL = url;
      const opened = await openBeside();
      try {
        await work(opened);
      } finally {
        await opened.close();
      }
    },
    demoAt(Date.parse('2026-06-01T12:00:00Z')),
  );
}

test('the store is read once more, and a page that would write is refused with a sentence', async () => {
  await beside(async ({ db, write }) => {
    expect((await listYards(db)).map(({ name }) => name)).toEqual(['Teasel Bank']);
    await expect(write(async () => undefined)).rejects.toThrow('changes nothing');
    await write.idle();
  });
});

test('what is found out on the way is handed over, and waited for until it is kept or not', async () => {
  await beside(async ({ db }) => {
    const keep = keeperOf(db)!;
    const finding = (linkId: string): Finding => ({ yardId: 'y', what: 'link read', linkId, atMs: 1 });
    const [first, second] = [keep(finding('a')), keep(finding('b'))];
    expect(mockPort.said.map(({ finding: one }) => one)).toEqual([finding('a'), finding('b')]);
    const [a, b] = mockPort.said.map(({ number }) => number);
    expect(a).not.toBe(b);
    // They are answered in any order, and an answer that nobody waits for does no harm.
    mockPort.emit('message', { number: b, isKept: false });
    mockPort.emit('message', { number: 99, isKept: true });
    mockPort.emit('message', { number: a, isKept: true });
    await expect(first).resolves.toBeUndefined();
    await expect(second).rejects.toThrow('could not be kept');
  });
});

test('on a server everybody is one of many: there it is opened as any other, and may write', async () => {
  openDatabase.mockResolvedValue('opened');
  process.env.ROAN_DATABASE_URL = 'libsql://yards.example';
  expect(await openBeside()).toBe('opened');
  expect(openDatabase.mock.calls[0]![0]).toBe('libsql://yards.example');
});

test('closed, it reads no more', async () => {
  await withTestDatabase(
    async (database, url) => {
      process.env.ROAN_DATABASE_URL = url;
      const { db, close } = await openBeside();
      await close();
      await expect(listYards(db)).rejects.toThrow();
    },
    demoAt(Date.parse('2026-06-01T12:00:00Z')),
  );
});
