import { differenceInterval } from './differenceInterval';

// Newcombe 1998, table II, method 10 (from memory): 56/70 and 48/80, 9/10 and 3/10, 10/10 and 0/10.
test.each([
  [56, 70, 48, 80, 0.0524, 0.3339],
  [9, 10, 3, 10, 0.1705, 0.809],
  [10, 10, 0, 10, 0.6075, 1],
])('%i of %i against %i of %i', (a, of, b, ofB, low, high) => {
  const found = differenceInterval({ hits: a, of }, { hits: b, of: ofB });
  expect(found.low).toBeCloseTo(low, 3);
  expect(found.high).toBeCloseTo(high, 3);
});

test('nothing ridden on one side says nothing', () =>
  expect(differenceInterval({ of: 0, hits: 0 }, { of: 5, hits: 5 })).toEqual({ low: -1, high: 1 }));
