import type { Arena } from '../arena/arena';
import { smallestRadiusM, type Chain } from '../geometry/chain';
import { isChainInside } from '../geometry/insideArena';
import type { Pose } from '../geometry/pose';
import { viaLeg, type LegGround } from './leg';
import { viaPoints } from './viaPoints';
import { wideLine } from './wideLine';

const ARENA: Arena = { widthM: 30, lengthM: 50, letters: 'none' };
const GROUND: LegGround = { arena: ARENA, smallestRadiusM: 5, strideM: 3.5 };
const pose = (xM: number, yM: number, deg: number): Pose => ({ at: { xM, yM }, headingRad: (deg * Math.PI) / 180 });
const isInside = (chain: Chain) => isChainInside(ARENA, chain);

/** The lengths of all lines through any point of the grid that are wide enough, metres: without any order. */
const lengthsOfAll = (from: Pose, to: Pose, mayRide: (chain: Chain) => boolean) =>
  viaPoints(ARENA, from.at, to.at).flatMap(({ via }) => {
    const { chain, instead } = viaLeg(from, to, via, GROUND);
    const radiusM = smallestRadiusM(chain) ?? Infinity;
    return !instead && radiusM > 5 - 1e-6 && mayRide(chain) ? [chain.lengthM] : [];
  });

test.each([
  ['back along the other side', pose(5, 20, 90), pose(15, 20, 270)],
  ['to one behind, ridden the same way', pose(8, 28, 90), pose(20, 12, 90)],
  ['across and back', pose(4, 30, 0), pose(4, 10, 180)],
  ['askew', pose(10, 12, 60), pose(20, 30, 250)],
])('%s: no line of the grid that is as wide is shorter', (_, from, to) => {
  const lengths = lengthsOfAll(from, to, isInside);
  expect(new Set(lengths.map(lengthM => lengthM.toFixed(2))).size).toBeGreaterThan(3);
  const line = wideLine(from, to, GROUND, isInside)!;
  expect(line.chain.lengthM).toBeCloseTo(Math.min(...lengths), 9);
  expect(smallestRadiusM(line.chain)!).toBeGreaterThan(5 - 1e-6);
  expect(viaLeg(from, to, line.via, GROUND).chain.lengthM).toBe(line.chain.lengthM);
});

test('what may not be ridden is passed over for the next, and none is none', () => {
  const [from, to] = [pose(5, 20, 90), pose(15, 20, 270)];
  const farther = (chain: Chain) => isInside(chain) && chain.lengthM > 45;
  const line = wideLine(from, to, GROUND, farther)!;
  expect(line.chain.lengthM).toBeCloseTo(Math.min(...lengthsOfAll(from, to, farther)), 9);
  expect(wideLine(from, to, GROUND, () => false)).toBeNull();
});
