import type { Layout } from '../layout/layout';
import { testFence, testHorse, testLayout } from '../layout/testLayout';
import { costAround, countsByCost, fitCost, fitProblem, legResiduals, moveResiduals, offSand } from './fitCost';
import { fitLegs } from './legAsRidden';
import { piecesOf, STAYS, type FitMove } from './pieces';

const FT = 0.3048;
const move = (changes: Partial<FitMove>): FitMove => ({ ...STAYS, ...changes });
/** Two fences so many feet apart, for horses of so many feet a stride; a count asked. */
const line = (apartFt: number, strideFt: number[], asked: number | null = null): Layout =>
  testLayout([testFence('a', 10, 12, 0), testFence('b', 10, 12 + apartFt * FT, 0)], {
    horses: strideFt.map((ft, index) => testHorse(`h${index}`, ft * FT)),
    legs: [{ asked }],
  });
const problemOf = (layout: Layout) =>
  fitProblem(
    layout,
    piecesOf(layout, new Map(), []),
    layout.horses.map(({ id }) => id),
  );
const legOf = (layout: Layout) =>
  fitLegs(
    layout,
    layout.horses.map(({ id }) => id),
  )[0]!;
const ridden = (countedM: number, smallestRadiusM = Infinity) => ({ countedM, smallestRadiusM });

// Four strides of 12 ft are 60 ft between fences (common practice, no source), and up to 3 % off is called easy.
describe('what a leg costs', () => {
  const leg = legOf(line(60, [12]));
  const stretched = (share: number) => legResiduals(leg, ridden(60 * FT * share), 4)[0]!;

  test('nothing where it rides easily, more the farther it is from that, to either side', () => {
    expect([stretched(1), stretched(1.02), stretched(0.98)]).toEqual([0, 0, 0]);
    expect(stretched(1.06)).toBeGreaterThan(stretched(1.04));
    expect(stretched(1.04)).toBeGreaterThan(0);
    expect(stretched(0.94)).toBeLessThan(stretched(0.96));
    expect(stretched(0.96)).toBeLessThan(0);
    // A leg weighs ten times as much as a move of a metre; from 2.5 % on, in widths of 6 %.
    expect(stretched(1.1)).toBeCloseTo((10 * Math.log(1.1 / 1.025)) / Math.log(1.03 / 0.97), 9);
    expect(stretched(0.9)).toBeCloseTo((10 * Math.log(0.9 / 0.975)) / Math.log(1.03 / 0.97), 9);
  });

  test('a turn that is tighter than the horse carries costs by how much, whatever is asked', () => {
    const { leastTurnM } = leg.horses[0]!;
    expect(legResiduals(leg, ridden(60 * FT, leastTurnM), 4)).toEqual([0, 0]);
    expect(legResiduals(leg, ridden(60 * FT, leastTurnM / 1.1), 4)[1]).toBeCloseTo(10, 9);
    expect(legResiduals(leg, ridden(60 * FT, leastTurnM / 1.1), null)).toEqual([expect.closeTo(10, 9)]);
  });

  test('each horse by itself', () => {
    const two = legOf(line(60, [12, 11]));
    expect(legResiduals(two, ridden(60 * FT), 4).map(off => off > 0)).toEqual([false, false, true, false]);
  });
});

test('the count that costs least comes first, and one that is asked stands alone', () => {
  const counts = (layout: Layout, groundFt: number) => countsByCost(legOf(layout), ridden(groundFt * FT));
  expect(counts(line(64, [12]), 64)).toEqual([4, 5]);
  expect(counts(line(69, [12]), 69)).toEqual([5, 4]);
  expect(counts(line(64, [12], 5), 64)).toEqual([5]);
  expect(problemOf(line(64, [12])).counts).toEqual([4]);
});

test('a metre and fifteen degrees weigh as much', () =>
  expect(moveResiduals({ alongM: 2, leftM: -0.5, turnRad: Math.PI / 6 })).toEqual([2, -0.5, expect.closeTo(2, 9)]));

test('off the sand costs by how far its farthest corner is; what stands off it already costs nothing', () => {
  const layout = testLayout([testFence('a', 10, 0.3, 0), testFence('off', -5, 30, 0)]);
  const pieces = piecesOf(layout, new Map(), []);
  expect(offSand({ layout, pieces }, 0, STAYS)).toBe(0);
  // 50 for each metre.
  const out = (alongM: number) => offSand({ layout, pieces }, 0, move({ alongM }));
  expect(out(-1) - out(-0.5)).toBeCloseTo(25, 6);
  expect(offSand({ layout, pieces }, 1, move({ alongM: 3 }))).toBe(0);
});

test('the whole cost is what its moves cost and what its legs do; about a piece it is what hangs on it', () => {
  const layout = testLayout([testFence('a', 10, 12, 0), testFence('b', 10, 32, 0), testFence('c', 10, 52, 0)], {
    horses: [testHorse('H', 12 * FT)],
  });
  const problem = problemOf(layout);
  const moves = [move({ alongM: 0.4 }), STAYS, move({ leftM: 0.3 })];
  const around = costAround(problem);
  // The legs a–b and b–c: what hangs on the outer two is all there is but nothing of the middle one.
  expect(around(moves, 0) + around(moves, 2)).toBeCloseTo(fitCost(problem, moves), 6);
  expect(fitCost(problem, moves)).toBeGreaterThan(0.4 ** 2 + 0.3 ** 2);
});
