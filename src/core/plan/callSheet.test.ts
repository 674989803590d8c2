import { newItem } from './newItem';
import { DEFAULT_LEG, type ItemTrack, type PlannedLeg } from '../layout/layout';
import { reckonLayout } from '../layout/reckonLayout';
import type { ReckonedItemTrack } from '../layout/reckonedTrack';
import { testFence, testHorse, testLayout } from '../layout/testLayout';
import { callSheet, turnWords } from './callSheet';

const pole = (id: string, yM: number) => newItem('pole', id, { xM: 10, yM }, Math.PI / 2);
const grid: Partial<PlannedLeg> = { ...DEFAULT_LEG, setting: 'grid' };
function called(items: Parameters<typeof testLayout>[0], legs: Partial<PlannedLeg>[] = []) {
  const layout = testLayout(items, {
    legs,
    horses: [testHorse('Quill', 3.6)],
    arena: { widthM: 40, lengthM: 70, letters: 'none' },
  });
  return callSheet(layout, layout.tracks[0] as ItemTrack, reckonLayout(layout)[0] as ReckonedItemTrack);
}

test('a grid: what each pole is there for, and fences by their numbers', () => {
  const lines = called(
    [
      pole('p', 10),
      testFence('a', 10, 13, 0),
      pole('h', 16),
      testFence('b', 10, 19, 0, { form: 'oxer', spreadM: 0.8 }),
      pole('l', 23),
    ],
    [grid, grid, grid, grid],
  );
  expect(lines.map(({ number, what }) => [number, what])).toEqual([
    [null, 'placing pole'],
    [1, 'vertical'],
    [null, 'halfway pole'],
    [2, 'oxer'],
    [null, 'landing pole'],
  ]);
  expect(lines.at(-1)!.next).toBeNull();
});

test('a row of poles is what is ridden, each with its number', () =>
  expect(
    called([pole('p', 10), pole('q', 13)], [{ ...DEFAULT_LEG, setting: 'poles' }]).map(({ number, what }) => [
      number,
      what,
    ]),
  ).toEqual([
    [1, 'pole'],
    [2, 'pole'],
  ]));

test('the way on: straight, turning, and turning back; the count that is asked, and what each horse makes of it', () => {
  const straight = called([testFence('a', 10, 10, 0), testFence('b', 10, 31.6, 0)], [{ asked: 5 }])[0]!.next!;
  expect(straight).toMatchObject({
    turns: [],
    asked: 'five',
    calls: [['Quill', expect.stringContaining('five') as string]],
  });
  expect(straight.groundM).toBeCloseTo(21.6, 1);
  const round = called([testFence('a', 10, 20, 0), testFence('b', 25, 40, 90)])[0]!.next!;
  expect([round.turns, round.asked]).toEqual([['right'], null]);
  const aside = called([testFence('a', 10, 10, 0), testFence('b', 14, 30, 0)])[0]!.next!;
  expect(aside.turns).toEqual(['right', 'left']);
  // A bounce is a bounce.
  expect(
    called([testFence('a', 10, 10, 0), testFence('b', 10, 13.6, 0)], [{ ...grid, asked: 0 }])[0]!.next!.asked,
  ).toBe('bounce');
});

test('as it is said', () => {
  expect([turnWords([]), turnWords(['left']), turnWords(['left', 'right'])]).toEqual([
    ...['straight on', 'turning left', 'turning left, then right'],
  ]);
});
