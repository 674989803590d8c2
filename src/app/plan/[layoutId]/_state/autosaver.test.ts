import { EMPTY_PLAN } from '@/core';
import { createAutosaver, type Edited, type Sent } from './autosaver';

const edited = (name: string): Edited => ({ name, plan: { ...EMPTY_PLAN } });
const SAVED = edited('saved');

/** An autosaver whose server answers when the test says so. */
function setUp() {
  const asked: { baseRevision: number; name: string; saveId: string; answer: (sent: Sent) => Promise<void> }[] = [];
  const drafts: string[] = [];
  const saver = createAutosaver({
    revision: 1,
    saved: SAVED,
    send: (baseRevision, { name }, saveId) =>
      new Promise(resolve => {
        const answer = async (sent: Sent) => {
          resolve(sent);
          await jest.advanceTimersByTimeAsync(0);
        };
        asked.push({ baseRevision, name, saveId, answer });
      }),
    keepDraft: (_, { name }) => drafts.push(`keep ${name}`),
    dropDraft: () => drafts.push('drop'),
  });
  return { saver, asked, drafts };
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('many quick changes become one save, of the last', async () => {
  const { saver, asked, drafts } = setUp();
  for (const name of ['a', 'ab', 'abc']) saver.put(edited(name));
  expect(saver.status()).toEqual({ kind: 'saving' });
  await jest.advanceTimersByTimeAsync(1000);
  expect(asked.map(({ name }) => name)).toEqual(['abc']);
  await asked[0]!.answer({ kind: 'saved', revision: 2 });
  expect(saver.status()).toEqual({ kind: 'saved' });
  expect(drafts.at(-1)).toBe('drop');
});

test('a change made while a save is on its way is saved after it, from the new revision', async () => {
  const { saver, asked } = setUp();
  saver.put(edited('first'));
  await jest.advanceTimersByTimeAsync(1000);
  saver.put(edited('second'));
  await jest.advanceTimersByTimeAsync(1000);
  expect(asked).toHaveLength(1);
  await asked[0]!.answer({ kind: 'saved', revision: 2 });
  await jest.advanceTimersByTimeAsync(1000);
  expect(asked[1]).toMatchObject({ baseRevision: 2, name: 'second' });
  expect(saver.status()).toEqual({ kind: 'saving' });
});

test('a server that does not answer is asked again by itself, and the draft stays', async () => {
  const { saver, asked, drafts } = setUp();
  saver.put(edited('kept'));
  await jest.advanceTimersByTimeAsync(1000);
  await asked[0]!.answer({ kind: 'waiting', problem: 'no answer' });
  expect(saver.status()).toEqual({ kind: 'waiting', problem: 'no answer' });
  expect(drafts).toEqual(['keep kept']);
  await jest.advanceTimersByTimeAsync(5000);
  await asked[1]!.answer({ kind: 'saved', revision: 2 });
  expect(saver.status()).toEqual({ kind: 'saved' });
});

test('once another window has saved, nothing more is sent, and the draft keeps every change', async () => {
  const { saver, asked, drafts } = setUp();
  saver.put(edited('mine'));
  await jest.advanceTimersByTimeAsync(1000);
  await asked[0]!.answer({ kind: 'stale', theirRevision: 2 });
  saver.put(edited('mine again'));
  saver.flush();
  await jest.advanceTimersByTimeAsync(10_000);
  expect(asked).toHaveLength(1);
  expect(saver.status()).toEqual({ kind: 'stale' });
  expect(drafts.at(-1)).toBe('keep mine again');
});

test('undone back to what is saved, there is nothing to send', async () => {
  const { saver, asked } = setUp();
  saver.put(edited('a'));
  saver.put(SAVED);
  await jest.advanceTimersByTimeAsync(5000);
  expect(asked).toHaveLength(0);
  expect(saver.status()).toEqual({ kind: 'saved' });
});

test('leaving the page saves without waiting', async () => {
  const { saver, asked } = setUp();
  saver.put(edited('leaving'));
  saver.flush();
  expect(asked.map(({ name }) => name)).toEqual(['leaving']);
});

test('a save whose answer was lost is sent again as the same save; another change is another', async () => {
  const { saver, asked } = setUp();
  saver.put(edited('kept'));
  await jest.advanceTimersByTimeAsync(1000);
  await asked[0]!.answer({ kind: 'waiting', problem: 'no answer' });
  await jest.advanceTimersByTimeAsync(5000);
  expect(asked[1]!.saveId).toBe(asked[0]!.saveId);
  await asked[1]!.answer({ kind: 'saved', revision: 2 });
  saver.put(edited('more'));
  await jest.advanceTimersByTimeAsync(1000);
  expect(asked[2]!.saveId).not.toBe(asked[0]!.saveId);
});

test('a sender that throws leaves nothing waiting for ever', async () => {
  const saver = createAutosaver({
    ...{ revision: 1, saved: SAVED, keepDraft: () => undefined, dropDraft: () => undefined },
    send: () => Promise.reject(new Error('broken')),
  });
  saver.put(edited('a'));
  await jest.advanceTimersByTimeAsync(1000);
  expect(saver.status()).toMatchObject({ kind: 'waiting' });
});
