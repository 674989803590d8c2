import { daysOf, dayNames, readDays } from './byDay';
import type { ReviewPass } from './reviewPass';

/** Of a pass only its day and name matter here. */
const pass = (day: string, id: string) => ({ id, day }) as ReviewPass;
const [a, b, c, d] = [
  pass('2026-03-01', 'a'),
  pass('2026-03-01', 'b'),
  pass('2026-03-08', 'c'),
  pass('2026-03-08', 'd'),
];

test('passes come apart into their days, in order', () => {
  expect(daysOf([])).toEqual([]);
  expect(daysOf([a, b, c]).map(day => day.map(({ id }) => id))).toEqual([['a', 'b'], ['c']]);
  expect(dayNames(daysOf([c, d, a, b]))).toEqual(['2026-03-01', '2026-03-08']);
});

test('a day is read once as long as its passes are the same ones', () => {
  const read: string[] = [];
  const count = readDays(day => {
    read.push(day.map(({ id }) => id).join(''));
    return day.length;
  });
  const sum = (passes: ReviewPass[]) => daysOf(passes).reduce((total, day) => total + count(day), 0);
  expect(sum([a, b, c, d])).toBe(4);
  expect(sum([a, b, c, d])).toBe(4);
  expect(read).toEqual(['ab', 'cd']);
  // One pass of the second day is another one: only that day is read again.
  expect(sum([a, b, c, pass('2026-03-08', 'e')])).toBe(4);
  expect(read).toEqual(['ab', 'cd', 'ce']);
  // A pass less, and one between: never mistaken for the day that was read.
  expect(sum([a, c, d])).toBe(3);
  expect(sum([a, b, pass('2026-03-01', 'f'), c, d])).toBe(5);
  expect(read).toEqual(['ab', 'cd', 'ce', 'a', 'abf']);
});

test('passes of one pair and of all that begin alike do not push each other out', () => {
  let reads = 0;
  const read = readDays(day => {
    reads += 1;
    return day.length;
  });
  for (let round = 0; round < 3; round += 1) for (const passes of [[a, b], [a], [a, b]]) daysOf(passes).map(read);
  expect(reads).toBe(2);
});
