import { asOfWords } from './asOfWords';
import { isForTheArena } from './keptPages';
import { readWaiting, writeWaiting } from './waitingFile';

test('what waits is the same in the file and out of it again', () => {
  const rows = [
    { box: 'lesson:1', event: { type: 'break', id: 'x', atMs: 5 }, yard: 'y' },
    { box: 'ticks:2', event: { piece: 'peg 1', ticked: true } },
  ];
  expect(readWaiting(writeWaiting(rows))).toEqual({ ok: true, rows });
});

test.each([
  ['no JSON', 'not one of what waits: it is no JSON'],
  ['{"format":"roan-layout"}', 'not one of what waits on a device'],
  ['null', 'not one of what waits on a device'],
  ['{"format":"roan-waiting","version":2,"rows":[]}', 'version'],
  ['{"format":"roan-waiting","version":1,"rows":[{"event":1}]}', 'rows.0.box'],
])('%s is refused with what is wrong', (text, told) => {
  const read = readWaiting(text);
  expect(read.ok).toBe(false);
  expect(read.ok ? '' : read.problem).toContain(told);
  expect(read.ok ? '' : read.problem).toContain('Nothing was taken in');
});

test('how old a page is: the time of today, with the day of another', () => {
  const now = new Date(2026, 5, 2, 11, 5).getTime();
  expect(asOfWords(new Date(2026, 5, 2, 9, 40).getTime(), now)).toBe('as of 9:40');
  expect(asOfWords(new Date(2026, 5, 1, 17, 5).getTime(), now)).toBe('as of Mon 1 Jun, 17:05');
});

test('what is used in the arena is kept by being looked at, and nothing else', () => {
  const kept = ['/today', '/ride', '/ride/lessons/1/run', '/set/2', '/waiting', '/yard/horses/3/test'];
  expect(kept.filter(isForTheArena)).toEqual(kept);
  expect(['/', '/review/1', '/plan/2', '/yard', '/yard/horses/3', '/yards', '/rider'].filter(isForTheArena)).toEqual(
    [],
  );
});
