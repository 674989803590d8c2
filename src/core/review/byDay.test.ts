import { daysOf, dayNames, readDays, takeKept } from './byDay';
import type { ReviewPass } from './reviewPass';

/** Of a pass only its day, whose it is and its name matter here. */
const pass = (day: string, id: string, pairId = 'p') => ({ id, day, pairId, marks: [] }) as unknown as ReviewPass;
const [a, b, c, d] = [
  pass('2026-03-01', 'a'),
  pass('2026-03-01', 'b'),
  pass('2026-03-08', 'c'),
  pass('2026-03-08', 'd'),
];
const names = (days: ReturnType<typeof daysOf>) => days.map(day => day.map(({ id }) => id).join(''));

test('passes come apart into their days, in order; a pair’s day is its own', () => {
  expect(daysOf([])).toEqual([]);
  expect(names(daysOf([a, b, c]))).toEqual(['ab', 'c']);
  const other = pass('2026-03-01', 'e', 'other');
  expect(names(daysOf([a, other, b, c]))).toEqual(['ab', 'e', 'c']);
  expect(dayNames(daysOf([c, d, a, other, b]))).toEqual(['2026-03-01', '2026-03-08']);
});

test('a day is read once as long as its passes are the same ones', () => {
  const read: string[] = [];
  const count = readDays('count', day => {
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
  // A pass less, and one more: never mistaken for the day that was read.
  expect(sum([a, c, d])).toBe(3);
  expect(sum([a, b, pass('2026-03-01', 'f'), c, d])).toBe(5);
  expect(read).toEqual(['ab', 'cd', 'ce', 'a', 'abf']);
});

test('passes of one pair and of all that begin alike do not push each other out', () => {
  let reads = 0;
  const read = readDays('alike', day => {
    reads += 1;
    return day.length;
  });
  for (let round = 0; round < 3; round += 1) for (const passes of [[a, b], [a], [a, b]]) daysOf(passes).map(read);
  expect(reads).toBe(2);
});

test('what was kept of a day is not read again, and without it marks are asked for', () => {
  let reads = 0;
  const ids = readDays(
    'ids',
    day => {
      reads += 1;
      return new Set(day.map(({ id }) => id));
    },
    { pack: found => [...found], unpack: packed => new Set(packed as string[]) },
  );
  const [x, y] = [pass('2026-03-02', 'x'), pass('2026-03-02', 'y')];
  const packed = JSON.parse(JSON.stringify({ [ids.kept]: ids.packed([x, y]) })) as Record<string, unknown>;
  const bare = [x, y].map(({ marks: _, ...own }) => own);
  takeKept(bare, packed);
  reads = 0;
  expect(daysOf(bare).map(ids)).toEqual([new Set(['x', 'y'])]);
  expect(reads).toBe(0);
  // Half of it is another day: it was not kept.
  expect(() => daysOf([bare[0]!]).map(ids)).toThrow('The marks of the pass x were not read.');
});
