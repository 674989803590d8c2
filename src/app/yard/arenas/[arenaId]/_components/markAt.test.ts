import type { NamedArena } from '@/data/queries/arenas';
import type { ArenaMarks } from '@/files/arenaMarks';
import { marked, placeByKey, sizeIn } from './markAt';

const MARKS = {
  ...{ entrance: null, homeFacingDeg: null, fall: null, patches: [], standing: [], ownLetters: [], outline: null },
  ...{ place: null, surface: null },
} as unknown as ArenaMarks;
const ARENA = {
  id: 'lower',
  name: 'Lower sand',
  widthM: 20,
  lengthM: 40,
  letters: 'none',
  marks: MARKS,
} as unknown as NamedArena;
const at = (xM: number, yM: number) => ({ xM, yM });

test('a bad patch lies where the sand was tapped, to ten centimetres, and never beside it', () => {
  expect(marked(ARENA, MARKS, 'patch', at(7.23, 12.78)).patches).toMatchObject([{ at: at(7.2, 12.8), radiusM: 2 }]);
  expect(marked(ARENA, MARKS, 'patch', at(-4, 55)).patches).toMatchObject([{ at: at(0, 40) }]);
  const two = marked(ARENA, marked(ARENA, MARKS, 'patch', at(1, 1)), 'patch', at(2, 2));
  expect(two.patches).toHaveLength(2);
});

test('the entrance and a letter stand at the nearest wall', () => {
  expect(marked(ARENA, MARKS, 'entrance', at(3, 20)).entrance).toEqual(at(0, 20));
  expect(marked(ARENA, MARKS, 'entrance', at(11, 39)).entrance).toEqual(at(11, 40));
  expect(marked(ARENA, MARKS, 'letter', at(18, 10)).ownLetters).toEqual([{ letter: 'A', at: at(20, 10) }]);
});

test('a letter is one that is free, and J, which no arena has, is none', () => {
  const taken = [...'ABCDEFGHI'].map(letter => ({ letter, at: at(0, 0) }));
  const next = marked(ARENA, { ...MARKS, ownLetters: taken } as ArenaMarks, 'letter', at(0, 5)).ownLetters;
  expect(next.at(-1)?.letter).toBe('K');
  const all = [...'ABCDEFGHIKLMNPQRSTUVWXYZ'].map(letter => ({ letter, at: at(0, 0) }));
  const full = { ...MARKS, ownLetters: all } as ArenaMarks;
  expect(marked(ARENA, full, 'letter', at(0, 5))).toBe(full);
});

// Clockwise from straight up, as a compass is read.
test.each([
  { tap: at(10, 40), facingDeg: 0 },
  { tap: at(20, 20), facingDeg: 90 },
  { tap: at(10, 0), facingDeg: 180 },
  { tap: at(0, 20), facingDeg: 270 },
  { tap: at(19, 29), facingDeg: 45 },
])('home and the fall lie towards the tap: $facingDeg°', ({ tap, facingDeg }) => {
  expect(marked(ARENA, MARKS, 'home', tap).homeFacingDeg).toBe(facingDeg);
  expect(marked(ARENA, MARKS, 'fall', tap).fall).toEqual({ facingDeg, percent: 1.5 });
});

test('a fall that is turned falls as much as it did', () => {
  const fallen = { ...MARKS, fall: { facingDeg: 10, percent: 3 } } as ArenaMarks;
  expect(marked(ARENA, fallen, 'fall', at(20, 20)).fall).toEqual({ facingDeg: 90, percent: 3 });
});

test('something that stands there is a pillar at first', () => {
  expect(marked(ARENA, MARKS, 'thing', at(4, 4)).standing).toMatchObject([{ kind: 'pillar', at: at(4, 4) }]);
});

test('a corner is dragged, not tapped; without a finger a mark goes to the far end', () => {
  expect(marked(ARENA, MARKS, 'corner', at(4, 4))).toBe(MARKS);
  expect(placeByKey(ARENA)).toEqual(at(10, 37));
});

test('the sand is as large as its outline', () => {
  expect(sizeIn(MARKS, ARENA)).toEqual({ widthM: 20, lengthM: 40 });
  const outline = [at(0, 0), at(22, 3), at(18, 44)];
  expect(sizeIn({ ...MARKS, outline } as ArenaMarks, ARENA)).toEqual({ widthM: 22, lengthM: 44 });
});
