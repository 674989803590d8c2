import { arenaFault, isInsideArena, toWallM, type Arena } from './arena';
import { arenaLetters } from './arenaLetters';
import { arenaLines } from './arenaLines';
import { roomAhead } from './roomAhead';
import { wallName } from './wallName';

const LONG: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const SHORT: Arena = { widthM: 20, lengthM: 40, letters: '20x40' };
const PLAIN: Arena = { widthM: 35, lengthM: 60, letters: 'none' };

// FEI Dressage Rules, plan of the arena (from memory): metres up from A.
test.each([
  { arena: LONG, letters: 'K V E S H', xM: 0, yM: [6, 18, 30, 42, 54] },
  { arena: LONG, letters: 'F P B R M', xM: 20, yM: [6, 18, 30, 42, 54] },
  { arena: LONG, letters: 'A D L X I G C', xM: 10, yM: [0, 6, 18, 30, 42, 54, 60] },
  { arena: SHORT, letters: 'K E H', xM: 0, yM: [6, 20, 34] },
  { arena: SHORT, letters: 'F B M', xM: 20, yM: [6, 20, 34] },
  { arena: SHORT, letters: 'A D X G C', xM: 10, yM: [0, 6, 20, 34, 40] },
])('$letters stand at $yM m', ({ arena, letters, xM, yM }) => {
  const placed = new Map(arenaLetters(arena).map(({ letter, at }) => [letter, at]));
  letters.split(' ').forEach((letter, index) => expect(placed.get(letter)).toEqual({ xM, yM: yM[index] }));
});

test('an arena has each letter once, and none where it has no letters', () => {
  const names = arenaLetters(LONG).map(({ letter }) => letter);
  expect(new Set(names).size).toBe(names.length);
  expect(names).toHaveLength(17);
  expect(arenaLetters(SHORT)).toHaveLength(11);
  expect(arenaLetters(PLAIN)).toEqual([]);
});

test('quarter lines run 5 m in from the long sides of a 20 m arena, the centre line 10 m in', () => {
  const xM = Object.fromEntries(arenaLines(LONG).map(line => [line.name, line.from.xM]));
  expect(xM).toMatchObject({ 'centre line': 10, 'left quarter line': 5, 'right quarter line': 15 });
  expect(arenaLines(PLAIN).find(line => line.name === 'half line')?.from.yM).toBe(30);
});

test.each([
  { arena: { ...LONG, letters: '20x40' as const }, field: 'letters' },
  { arena: { ...PLAIN, widthM: 4.9 }, field: 'widthM' },
  { arena: { ...PLAIN, lengthM: 201 }, field: 'lengthM' },
  { arena: { ...PLAIN, lengthM: Number.NaN }, field: 'lengthM' },
])('refuses %#: $field', ({ arena, field }) => expect(arenaFault(arena)?.field).toBe(field));

test('accepts sand of any sane size', () => {
  for (const arena of [LONG, SHORT, PLAIN, { widthM: 5, lengthM: 200, letters: 'none' as const }])
    expect(arenaFault(arena)).toBeNull();
});

test('inside with room to the wall', () => {
  expect(isInsideArena(LONG, { xM: 1, yM: 1 }, 1)).toBe(true);
  expect(isInsideArena(LONG, { xM: 0.99, yM: 1 }, 1)).toBe(false);
  expect(isInsideArena(LONG, { xM: 20.01, yM: 30 })).toBe(false);
});

test('room ahead: along, across, and from a corner on the diagonal', () => {
  expect(roomAhead(LONG, { xM: 10, yM: 20 }, Math.PI / 2)).toBeCloseTo(40, 12);
  expect(roomAhead(LONG, { xM: 10, yM: 20 }, -Math.PI / 2)).toBeCloseTo(20, 12);
  expect(roomAhead(LONG, { xM: 4, yM: 20 }, Math.PI)).toBeCloseTo(4, 12);
  // To the long side on the diagonal of a 10 m square: √2 · 10.
  expect(roomAhead(LONG, { xM: 10, yM: 10 }, Math.PI / 4)).toBeCloseTo(Math.SQRT2 * 10, 12);
  expect(roomAhead(LONG, { xM: -1, yM: 10 }, 0)).toBe(0);
});

test('walls are called by their letters where there are letters', () => {
  expect(wallName(LONG, 'near')).toBe('A short side');
  expect(wallName(SHORT, 'right')).toBe('B long side');
  expect(wallName(PLAIN, 'left')).toBe('left long side');
});

test('what stands on the sand takes its room from it, and so does whoever has to stay clear of it', () => {
  const standing = [{ kind: 'pillar' as const, name: null, at: { xM: 10, yM: 30 }, radiusM: 0.5 }];
  const isInside = (xM: number, clearanceM?: number) =>
    isInsideArena({ ...LONG, standing }, { xM, yM: 30 }, clearanceM);
  expect([isInside(10), isInside(10.4), isInside(10.6)]).toEqual([false, false, true]);
  expect([isInside(11.4, 1), isInside(11.6, 1)]).toEqual([false, true]);
  expect(toWallM({ ...LONG, standing }, { xM: 4, yM: 30 })).toBe(4);
  expect(toWallM(LONG, { xM: 10, yM: 57 })).toBe(3);
  expect(toWallM(LONG, { xM: 21, yM: 30 })).toBe(-1);
});

test('letters belong to a sand of their own size, both ways', () => {
  expect(arenaFault({ widthM: 20, lengthM: 60, letters: '20x60' })).toBeNull();
  for (const size of [
    { widthM: 20, lengthM: 59 },
    { widthM: 21, lengthM: 60 },
  ])
    expect(arenaFault({ ...size, letters: '20x60' })).toMatchObject({
      field: 'letters',
      reason: expect.stringContaining('20 × 60 m') as string,
    });
});
