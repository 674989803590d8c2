import type { Arena } from '../arena/arena';
import { chainEnd, nearestOnChain, totalTurnRad } from '../geometry/chain';
import { wallClearanceM } from '../geometry/insideArena';
import { alongLoopM, loopPart, railLoop } from './railLoop';

const ARENA: Arena = { widthM: 20, lengthM: 40, letters: '20x40' };

test.each(['left', 'right'] as const)(
  'once round on the %s rein: the walls less what four corners save, and back again',
  rein => {
    const loop = railLoop(ARENA, rein, 5, 1);
    // Sides of 18 and 38 m a metre from the walls; each corner of 5 m saves 10 − 2.5π.
    expect(loop.lengthM).toBeCloseTo(2 * (18 + 38) - 4 * (10 - 2.5 * Math.PI), 9);
    expect(totalTurnRad(loop)).toBeCloseTo(2 * Math.PI, 9);
    expect(wallClearanceM(ARENA, loop)).toBeCloseTo(1, 9);
    const end = chainEnd(loop);
    expect([end.at.xM, end.at.yM]).toEqual([expect.closeTo(10, 9), expect.closeTo(1, 9)]);
  },
);

test('the left rein turns left: the wall is on the right', () => {
  const left = railLoop(ARENA, 'left', 5);
  const atB = nearestOnChain(left, { xM: 20, yM: 20 }).pose;
  expect(Math.sin(atB.headingRad)).toBeCloseTo(1, 9);
  const right = nearestOnChain(railLoop(ARENA, 'right', 5), { xM: 20, yM: 20 }).pose;
  expect(Math.sin(right.headingRad)).toBeCloseTo(-1, 9);
});

test('a part over the seam goes on round, and poses that are not ridden along have no place', () => {
  const loop = railLoop(ARENA, 'left', 5);
  const part = loopPart(loop, loop.lengthM - 3, 4);
  expect(part.lengthM).toBeCloseTo(7, 9);
  expect(chainEnd(part).at).toEqual({ xM: expect.closeTo(14, 9), yM: expect.closeTo(0, 9) });
  expect(alongLoopM(loop, { at: { xM: 13, yM: 0 }, headingRad: 0 })).toBeCloseTo(3, 9);
  expect(alongLoopM(loop, { at: { xM: 13, yM: 0 }, headingRad: Math.PI })).toBeNull();
  expect(alongLoopM(loop, { at: { xM: 13, yM: 1 }, headingRad: 0 })).toBeNull();
  expect(loopPart(loop, 4, 4).lengthM).toBe(0);
});

test('corners that do not fit are refused', () => {
  expect(() => railLoop(ARENA, 'left', 11)).toThrow(RangeError);
  expect(() => railLoop(ARENA, 'left', 0)).toThrow(RangeError);
  expect(() => railLoop(ARENA, 'left', 5, -1)).toThrow(RangeError);
});
