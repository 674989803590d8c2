import type { Arena } from '../arena/arena';
import { isBesideWall, isWallThere, pointsOnWall } from './knownPoint';

const outline = (...corners: [number, number][]) => corners.map(([xM, yM]) => ({ xM, yM }));
const BOX: Arena = { widthM: 24, lengthM: 40, letters: 'none' };
/** Its far right corner, ten metres by twelve, is cut away. */
const L: Arena = { ...BOX, outline: outline([0, 0], [24, 0], [24, 28], [14, 28], [14, 40], [0, 40]) };
/** It touches the right side of its box at one corner only. */
const POINTED: Arena = { ...BOX, outline: outline([0, 0], [12, 0], [24, 20], [12, 40], [0, 40]) };
/** It ends before the right side of its box. */
const NARROW: Arena = { ...BOX, outline: outline([0, 0], [18, 0], [18, 40], [0, 40]) };
const at = (xM: number, yM: number) => ({ xM, yM });

test.each([
  ['on a rectangle', BOX, 'right', at(20, 35), true],
  ['behind the wall', BOX, 'right', at(24.1, 35), false],
  ['on the wall itself', BOX, 'right', at(24, 35), true],
  ['past its near end', BOX, 'left', at(3, -0.1), false],
  ['past its far end', BOX, 'left', at(3, 40.1), false],
  ['at its end', BOX, 'left', at(3, 40), true],
  ['where the right wall of an L stands', L, 'right', at(20, 20), true],
  ['where it is cut away', L, 'right', at(13, 35), false],
  ['where the far wall of an L stands', L, 'far', at(10, 20), true],
  ['where that is cut away', L, 'far', at(20, 20), false],
  ['beside a corner alone', POINTED, 'right', at(20, 20), false],
  ['beside a side of the box that no wall touches', NARROW, 'right', at(15, 20), false],
] as const)('whether a place can be measured from a wall: %s', (_, arena, wall, place, isBeside) =>
  expect(isBesideWall(arena, wall, place)).toBe(isBeside),
);

test('a wall is there as far as it goes, to the millimetre', () => {
  expect([27.9995, 28, 28.0005, 28.01].map(alongM => isWallThere(L, 'right', alongM))).toEqual([
    ...[true, true, true, false],
  ]);
  expect(isWallThere(BOX, 'right', 35)).toBe(true);
  expect(isWallThere(NARROW, 'right', 20)).toBe(false);
});

test('the points along a wall come in order, those of the outline among them', () => {
  const along = (arena: Arena, wall: 'right' | 'far') => pointsOnWall(arena, wall).map(({ alongM }) => alongM);
  expect(along(BOX, 'right')).toEqual([0, 40]);
  expect(along(L, 'right')).toEqual([0, 28]);
  expect(along(L, 'far')).toEqual([0, 14]);
  expect(along(NARROW, 'right')).toEqual([]);
  // 20 × 60: F, B and M on the right side, 6, 30 and 54 m from A (FEI Dressage Rules, plan of the arena, from memory).
  expect(along({ widthM: 20, lengthM: 60, letters: '20x60' }, 'right')).toEqual([0, 6, 18, 30, 42, 54, 60]);
});
