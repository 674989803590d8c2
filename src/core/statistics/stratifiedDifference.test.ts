import { seededRandom } from './seededRandom';
import { stratifiedDifference } from './stratifiedDifference';

const share = (hits: number, of: number) => ({ hits, of });

// Newcombe 1998, Stat. Med. 17:873-890, table II, method 10 (from memory): of one stratum it is the interval of two shares.
test.each([
  [share(56, 70), share(48, 80), 0.0524, 0.3339],
  [share(9, 10), share(3, 10), 0.1705, 0.809],
  [share(10, 10), share(0, 10), 0.6075, 1],
])('%j against %j', (a, b, low, high) => {
  const found = stratifiedDifference([{ a, b }])!;
  expect(found.difference).toBeCloseTo(a.hits / a.of - b.hits / b.of, 12);
  expect(found.low).toBeCloseTo(low, 3);
  expect(found.high).toBeCloseTo(high, 3);
});

// As alike as they can be within each question, and 40 in 100 apart when they are thrown together (Simpson 1951).
test('what was asked harder on one side counts for nothing against it', () => {
  const hard = { a: share(10, 40), b: share(1, 4) };
  const easy = { a: share(3, 4), b: share(30, 40) };
  expect(10 / 40).toBe(1 / 4);
  const pooled = 13 / 44 - 31 / 44;
  expect(pooled).toBeLessThan(-0.4);
  const { difference, low, high } = stratifiedDifference([hard, easy])!;
  expect(difference).toBeCloseTo(0, 12);
  expect(low).toBeLessThan(0);
  expect(high).toBeGreaterThan(0);
});

test('a stratum that only one side rode says nothing, and without one that both rode there is no difference', () => {
  const both = { a: share(7, 10), b: share(6, 12) };
  const one = { a: share(9, 9), b: share(0, 0) };
  expect(stratifiedDifference([both, one])).toEqual(stratifiedDifference([both]));
  expect(stratifiedDifference([one])).toBeNull();
  expect(stratifiedDifference([])).toBeNull();
});

test('sides that change places change the sign, and nothing else', () => {
  const strata = [
    { a: share(7, 10), b: share(6, 12) },
    { a: share(2, 9), b: share(8, 20) },
  ];
  const there = stratifiedDifference(strata)!;
  const back = stratifiedDifference(strata.map(({ a, b }) => ({ a: b, b: a })))!;
  expect(back.difference).toBeCloseTo(-there.difference, 12);
  expect([back.low, back.high]).toEqual([expect.closeTo(-there.high, 12), expect.closeTo(-there.low, 12)]);
});

test('more hits than tries are none', () => {
  expect(() => stratifiedDifference([{ a: share(3, 2), b: share(1, 2) }])).toThrow(RangeError);
});

// Independent of the formula: so often does it hold what was planted.
test('95 times in 100 it holds the difference that is there', () => {
  const random = seededRandom(20);
  const throws = (chance: number, of: number) =>
    share(Array.from({ length: of }, random).filter(one => one < chance).length, of);
  const trials = 3000;
  let held = 0;
  for (let trial = 0; trial < trials; trial += 1) {
    const strata = [
      { a: throws(0.3, 14), b: throws(0.5, 9) },
      { a: throws(0.7, 8), b: throws(0.9, 16) },
      { a: throws(0.5, 20), b: throws(0.7, 18) },
    ];
    const { low, high } = stratifiedDifference(strata)!;
    if (low <= -0.2 && high >= -0.2) held += 1;
  }
  expect(held / trials).toBeGreaterThan(0.93);
  expect(held / trials).toBeLessThan(0.975);
});
