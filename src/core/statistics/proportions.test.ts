import { mean as meanOf, poissonDistribution, sampleStandardDeviation } from 'simple-statistics';
import { mean, standardDeviation } from './moments';
import { fisherExact, normalTwoSided, poissonAtLeast, wilsonInterval } from './proportions';

test('the lady who tastes tea: three cups right of four (Fisher 1935, The Design of Experiments; from memory)', () => {
  // One side of it is 17 in 70; the other side is as likely.
  expect(fisherExact({ of: 4, hits: 3 }, { of: 4, hits: 1 })).toBeCloseTo(34 / 70, 10);
  expect(fisherExact({ of: 4, hits: 4 }, { of: 4, hits: 0 })).toBeCloseTo(2 / 70, 10);
});

test('convictions of twins (Fisher 1962, Edinburgh Medical Journal data; the p that is printed for it, from memory)', () =>
  expect(fisherExact({ of: 13, hits: 10 }, { of: 17, hits: 2 })).toBeCloseTo(0.0005367, 6));

test('no difference is no surprise, and nothing to compare neither', () => {
  expect(fisherExact({ of: 20, hits: 5 }, { of: 40, hits: 10 })).toBeCloseTo(1, 10);
  expect(fisherExact({ of: 0, hits: 0 }, { of: 9, hits: 3 })).toBe(1);
});

// Wilson's interval for 0 in 10 is 0 to 0.278, for 5 in 10 0.237 to 0.763 (tables of common textbooks; from memory).
test.each([
  [0, 10, 0, 0.278],
  [5, 10, 0.237, 0.763],
  [10, 10, 0.722, 1],
])('%i in %i', (hits, of, low, high) => {
  const interval = wilsonInterval({ of, hits });
  expect(interval.low).toBeCloseTo(low, 3);
  expect(interval.high).toBeCloseTo(high, 3);
});

test('the interval covers the true share about 95 times in 100, whatever it is', () => {
  for (const share of [0.1, 0.3, 0.5, 0.85]) {
    let covered = 0;
    for (let hits = 0; hits <= 40; hits += 1) {
      const { low, high } = wilsonInterval({ of: 40, hits });
      // The chance of so many of 40, by the product rule.
      let chance = 1;
      for (let i = 0; i < 40; i += 1) chance *= i < hits ? (share * (40 - i)) / (hits - i) : 1 - share;
      if (low <= share && share <= high) covered += chance;
    }
    expect(covered).toBeGreaterThan(0.92);
  }
});

test.each([0.4, 3, 17.5])('where %f are expected, against a general-purpose library', expected => {
  // The library's table stops where what is left is less than 0.0001.
  const table = poissonDistribution(expected) as number[];
  for (const count of [0, 1, 2, 5, 12]) {
    const below = table.slice(0, count).reduce((sum, one) => sum + one, 0);
    expect(poissonAtLeast(count, expected)).toBeCloseTo(1 - below, 3);
  }
});

test('means and deviations, against a general-purpose library', () => {
  const values = [3.1, 2.95, 3.4, 3.22, 2.7];
  expect(mean(values)).toBeCloseTo(meanOf(values), 12);
  expect(standardDeviation(values)).toBeCloseTo(sampleStandardDeviation(values), 12);
});

test('what cannot be is refused', () => {
  expect(() => wilsonInterval({ of: 3, hits: 4 })).toThrow(RangeError);
  expect(() => fisherExact({ of: 3, hits: 1.5 }, { of: 2, hits: 1 })).toThrow(RangeError);
  expect(() => poissonAtLeast(2, -1)).toThrow(RangeError);
  expect(() => mean([])).toThrow(RangeError);
  expect(() => standardDeviation([1])).toThrow(RangeError);
  // The 97.5 % point of the normal distribution, from any table.
  expect(normalTwoSided(1.96)).toBeCloseTo(0.05, 4);
});
