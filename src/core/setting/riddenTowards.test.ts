import fc from 'fast-check';
import type { Arena } from '../arena/arena';
import { newItem } from '../plan/newItem';
import { headingFromFacing } from '../geometry/angles';
import { riddenTowards, towardsWords } from './riddenTowards';

const fenceAt = (xM: number, yM: number, facingDeg: number) =>
  newItem('oxer', 'oxer', { xM, yM }, headingFromFacing(facingDeg));

const said = (arena: Arena, xM: number, yM: number, facingDeg: number) =>
  towardsWords(arena, riddenTowards(arena, fenceAt(xM, yM, facingDeg))!);

const FIELD: Arena = { widthM: 30, lengthM: 60, letters: 'none' };
const LONG: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };

test('an oxer by the left wall that faces back towards the near end is not ridden towards the far corner', () => {
  expect(said(FIELD, 4, 37.5, 215)).toBe('the near left corner');
});

test('the letter ahead, the side that is faced, or the corner', () => {
  expect(said(LONG, 10, 15, 0)).toBe('C');
  expect(said(LONG, 10, 15, 180)).toBe('A');
  expect(said(LONG, 10, 30, 90)).toBe('B');
  expect(said(FIELD, 15, 30, 0)).toBe('the far short side');
  expect(said(FIELD, 15, 30, 270)).toBe('the left long side');
  expect(said(FIELD, 15, 45, 45)).toBe('the far right corner');
});

/** How far what was named lies off the heading, degrees: points by where they stand, sides by the way they face. */
function offDeg(arena: Arena, words: string, xM: number, yM: number, facingDeg: number): number {
  const { widthM, lengthM } = arena;
  const rows: [string, string, number][] =
    arena.letters === '20x60'
      ? [
          ['K', 'F', 6],
          ['V', 'P', 18],
          ['E', 'B', 30],
          ['S', 'R', 42],
          ['H', 'M', 54],
        ]
      : arena.letters === '20x40'
        ? [
            ['K', 'F', 6],
            ['E', 'B', 20],
            ['H', 'M', 34],
          ]
        : [];
  const places: Record<string, [number, number]> = {
    ...{ A: [widthM / 2, 0], C: [widthM / 2, lengthM] },
    ...Object.fromEntries(rows.flatMap(([l, r, y]) => [[l, [0, y]] as const, [r, [widthM, y]] as const])),
    'the near left corner': [0, 0],
    'the near right corner': [widthM, 0],
    'the far left corner': [0, lengthM],
    'the far right corner': [widthM, lengthM],
    ...{ 'the K corner': [0, 0], 'the F corner': [widthM, 0] },
    ...{ 'the H corner': [0, lengthM], 'the M corner': [widthM, lengthM] },
  };
  const sides: Record<string, number> = {
    ...{ 'the far short side': 0, 'the right long side': 90, 'the near short side': 180, 'the left long side': 270 },
    ...{ 'the C short side': 0, 'the B long side': 90, 'the A short side': 180, 'the E long side': 270 },
  };
  const place = places[words];
  const bearing = place ? (Math.atan2(place[0] - xM, place[1] - yM) * 180) / Math.PI : sides[words]!;
  const off = (((bearing - facingDeg) % 360) + 360) % 360;
  return Math.min(off, 360 - off);
}

test('what is named lies within 45° of the way the fence is ridden, in any arena', () => {
  const anyArena: fc.Arbitrary<Arena> = fc.oneof(
    fc.record({
      widthM: fc.integer({ min: 12, max: 90 }),
      lengthM: fc.integer({ min: 12, max: 120 }),
      letters: fc.constant('none' as const),
    }),
    fc.constant(LONG),
    fc.constant<Arena>({ widthM: 20, lengthM: 40, letters: '20x40' }),
  );
  const share = fc.integer({ min: 0, max: 1000 }).map(value => value / 1000);
  fc.assert(
    fc.property(anyArena, share, share, fc.integer({ min: 0, max: 3599 }), (arena, x, y, tenths) => {
      const [xM, yM, facingDeg] = [x * arena.widthM, y * arena.lengthM, tenths / 10];
      const words = said(arena, xM, yM, facingDeg);
      expect(offDeg(arena, words, xM, yM, facingDeg)).toBeLessThanOrEqual(45 + 1e-6);
    }),
    { numRuns: 5000, seed: 20261127 },
  );
});
