import { leastSquares } from './leastSquares';

it('finds the foot of a valley that is known: Rosenbrock’s, at (1, 1) (Rosenbrock 1960)', () => {
  const { unknowns, cost } = leastSquares(
    [-1.2, 1],
    [
      { on: [0, 1], residuals: ([x, y]) => [10 * (y! - x! * x!)] },
      { on: [0], residuals: ([x]) => [1 - x!] },
    ],
  );
  expect(unknowns[0]).toBeCloseTo(1, 4);
  expect(unknowns[1]).toBeCloseTo(1, 4);
  expect(cost).toBeLessThan(1e-8);
});

it('fits a line through points as worked by hand: y = 1 + 2x through (0,1), (1,3), (2,5) exactly', () => {
  const points = [
    [0, 1],
    [1, 3],
    [2, 5],
  ] as const;
  const { unknowns } = leastSquares(
    [0, 0],
    points.map(([x, y]) => ({ on: [0, 1], residuals: ([a, b]) => [a! + b! * x - y] })),
  );
  expect(unknowns[0]).toBeCloseTo(1, 6);
  expect(unknowns[1]).toBeCloseTo(2, 6);
});

it('leaves alone what nothing depends on, and stops when it is told', () => {
  const blocks = [{ on: [0], residuals: ([x]: readonly number[]) => [x! - 3] }];
  expect(leastSquares([0, 7], blocks).unknowns).toEqual([expect.closeTo(3, 6), 7]);
  expect(leastSquares([0, 7], blocks, () => false)).toMatchObject({ unknowns: [0, 7], rounds: 0, cost: 9 });
});
