import { placeWords } from './placeWords';

const LETTERED = { widthM: 20, lengthM: 60, letters: '20x60' } as const;
const PLAIN = { widthM: 35, lengthM: 60, letters: 'none' } as const;

// FEI Dressage Rules, plan of the arena (from memory): B is half way up the right, H far up the left.
test.each([
  [LETTERED, { xM: 19, yM: 31 }, 'near B'],
  [LETTERED, { xM: 1, yM: 53 }, 'near H'],
  [PLAIN, { xM: 26.25, yM: 38 }, '9 m from the right wall, 38 m up from the A end'],
  [PLAIN, { xM: 6, yM: 44.4 }, '6 m from the left wall, 44 m up from the A end'],
])('%j, %j: %s', (arena, at, words) => expect(placeWords(arena, at)).toBe(words));
