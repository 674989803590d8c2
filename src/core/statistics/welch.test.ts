import { welch } from './welch';

// Worked by hand: means 3 and 5, variances 2.5 and 2.5 over five each: t = −2 / √(0.5 + 0.5) = −2, with eight degrees of freedom.
// Student's t of 8 degrees beyond 2 on either side: p = 0.0805 (tables of any textbook, from memory: 2.306 at 0.05, 1.860 at 0.10).
test('two means of like spread', () => {
  const found = welch([1, 2, 3, 4, 5], [3, 4, 5, 6, 7])!;
  expect(found.difference).toBe(-2);
  expect(found.p).toBeCloseTo(0.0805, 3);
  expect(welch([3, 4, 5, 6, 7], [1, 2, 3, 4, 5])!.p).toBeCloseTo(found.p, 12);
});

// The spreads differ: variances 1 and 100 over three each, t = 10 / √(1/3 + 100/3) = 1.7235; the degrees of freedom are
// (101/3)² / ((1/3)²/2 + (100/3)²/2) = 2.04: little more than the two of the wider side.
test('the wider side sets how sure it is', () => {
  const found = welch([19, 20, 21], [0, 10, 20])!;
  expect(found.difference).toBe(10);
  expect(found.p).toBeGreaterThan(0.2);
  expect(found.p).toBeLessThan(0.25);
});

test('alike is alike, and nothing is said of too few or of what does not vary', () => {
  expect(welch([1, 2, 3], [1, 2, 3])).toEqual({ difference: 0, p: 1 });
  expect(welch([1], [1, 2])).toBeNull();
  expect(welch([1, 2], [1])).toBeNull();
  expect(welch([2, 2], [3, 3])).toBeNull();
  expect(welch([2, 2], [3, 4])).not.toBeNull();
});
