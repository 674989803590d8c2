import fc from 'fast-check';
import { blockedDifference } from './blockedDifference';
import { fisherExact, type Share } from './proportions';
import { seededNormal, seededRandom } from './seededRandom';
import { excessHits, stratifiedExact } from './stratifiedExact';

const share = (hits: number, of: number): Share => ({ hits, of });
const anyShare = fc
  .integer({ min: 1, max: 14 })
  .chain(of => fc.integer({ min: 0, max: of }).map(hits => share(hits, of)));

test('one stratum is Fisher’s exact test', () =>
  fc.assert(
    fc.property(anyShare, anyShare, (a, b) => {
      expect(stratifiedExact([{ a, b }])).toBeCloseTo(fisherExact(a, b), 12);
    }),
  ));

/** Every way of dealing out the hits of each stratum, counted one by one. */
function byCounting(strata: readonly { a: Share; b: Share }[]): number {
  const choose = (n: number, k: number): number => (k < 0 || k > n ? 0 : k === 0 ? 1 : (choose(n - 1, k - 1) * n) / k);
  let sums = new Map([[0, 1]]);
  for (const { a, b } of strata) {
    const next = new Map<number, number>();
    for (const [sum, ways] of sums)
      for (let inA = 0; inA <= a.of; inA += 1) {
        const here = choose(a.of, inA) * choose(b.of, a.hits + b.hits - inA);
        if (here > 0) next.set(sum + inA, (next.get(sum + inA) ?? 0) + ways * here);
      }
    sums = next;
  }
  const seen = sums.get(strata.reduce((sum, { a }) => sum + a.hits, 0))!;
  const all = [...sums.values()].reduce((sum, ways) => sum + ways, 0);
  return [...sums.values()].reduce((sum, ways) => (ways <= seen * (1 + 1e-9) ? sum + ways : sum), 0) / all;
}

test('several strata as counted one by one', () =>
  fc.assert(
    fc.property(fc.array(fc.record({ a: anyShare, b: anyShare }), { minLength: 2, maxLength: 5 }), strata => {
      expect(stratifiedExact(strata)).toBeCloseTo(byCounting(strata), 9);
    }),
  ));

test('what is alike within each stratum is no difference, however unlike the sums are', () => {
  const strata = [
    { a: share(30, 60), b: share(5, 10) },
    { a: share(9, 10), b: share(54, 60) },
  ];
  expect(fisherExact(share(39, 70), share(59, 70))).toBeLessThan(0.001);
  expect(stratifiedExact(strata)).toBeGreaterThan(0.5);
  expect(excessHits(strata)).toBeCloseTo(0, 9);
  expect(stratifiedExact([])).toBe(1);
  expect(stratifiedExact([{ a: share(3, 3), b: share(0, 0) }])).toBe(1);
  expect(() => stratifiedExact([{ a: share(3, 2), b: share(0, 1) }])).toThrow(RangeError);
});

test('thousands of passes in many strata stay a number', () => {
  const random = seededRandom(4);
  const many = Array.from({ length: 40 }, () => ({
    a: share(Math.round(300 * (0.6 + 0.1 * random())), 400),
    b: share(Math.round(300 * (0.6 + 0.1 * random())), 400),
  }));
  const p = stratifiedExact(many);
  expect(p).toBeGreaterThan(0);
  expect(p).toBeLessThanOrEqual(1);
  expect(stratifiedExact(many.map(({ a }) => ({ a, b: share(50, 400) })))).toBeLessThan(1e-9);
});

describe('two sides within blocks', () => {
  // Student 1908, Biometrika 6:1-25: hours of sleep gained with one soporific and another, the same ten patients (from memory).
  const one = [0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0.0, 2.0];
  const other = [1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4];

  test('blocks of one and one are paired values: t = −4.0621 on 9 degrees, p = 0.002833', () => {
    const paired = blockedDifference(one.map((value, index) => ({ a: [value], b: [other[index]!] })))!;
    expect(paired.difference).toBeCloseTo(-1.58, 9);
    expect(paired.p).toBeCloseTo(0.002833, 6);
  });

  test('one block is Student’s test of two samples: t = −1.8608 on 18 degrees, p = 0.07919', () => {
    expect(blockedDifference([{ a: one, b: other }])!.p).toBeCloseTo(0.07919, 5);
  });

  test('a hard block does not count against the side that has more of it', () => {
    const random = seededRandom(9);
    const values = (count: number, middle: number) =>
      Array.from({ length: count }, () => middle + 0.5 * seededNormal(random));
    let alarms = 0;
    for (let round = 0; round < 400; round += 1) {
      const blocks = [
        { a: values(20, 2), b: values(4, 2) },
        { a: values(4, 4), b: values(20, 4) },
        { a: values(3, 3), b: [] },
      ];
      if (blockedDifference(blocks)!.p < 0.05) alarms += 1;
    }
    expect(alarms / 400).toBeGreaterThan(0.02);
    expect(alarms / 400).toBeLessThan(0.09);
  });

  test('nothing to tell a spread from, or nothing that varies', () => {
    expect(blockedDifference([])).toBeNull();
    expect(blockedDifference([{ a: [1], b: [2] }])).toBeNull();
    expect(blockedDifference([{ a: [1, 1], b: [2, 2] }])).toBeNull();
    expect(blockedDifference([{ a: [1, 2], b: [] }])).toBeNull();
  });
});
