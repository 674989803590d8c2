import { jumpAllowanceM } from './jumpAllowance';

// Common practice, no source: at a stride of 3.5 m a fence of 0.80 m takes 1.95 m, one of 1 m two, and one of 1.40 m 2.20 m.
test('landing and take-off grow by a quarter of the height up to a metre, and by half of what is over it', () => {
  const taken = [0, 0.8, 1, 1.4].map(heightM => jumpAllowanceM(heightM, 3.5));
  expect(taken).toEqual([1.75, 1.95, 2, 2.2].map(metres => expect.closeTo(metres, 9)));
});

test('in proportion for another stride', () => {
  expect(jumpAllowanceM(1.4, 3)).toBeCloseTo((2.2 * 3) / 3.5, 9);
});
