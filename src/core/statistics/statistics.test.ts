import fc from 'fast-check';
import { betaCdf, betaInverse } from './betaDistribution';
import { logGamma } from './logGamma';
import { studentTwoSided } from './studentQuantile';

test.each([
  { x: 1, value: 0, source: 'Γ(1) = 1' },
  { x: 5, value: Math.log(24), source: 'Γ(5) = 4!' },
  { x: 0.5, value: Math.log(Math.sqrt(Math.PI)), source: 'Γ(½) = √π' },
  { x: 11, value: Math.log(3628800), source: 'Γ(11) = 10!' },
])('log gamma: $source', ({ x, value }) => expect(logGamma(x)).toBeCloseTo(value, 12));

test.each([
  { x: 0.3, a: 1, b: 1, value: 0.3, source: 'uniform' },
  { x: 0.3, a: 1, b: 4, value: 1 - 0.7 ** 4, source: '1 − (1 − x)^b' },
  { x: 0.3, a: 4, b: 1, value: 0.3 ** 4, source: 'x^a' },
  { x: 0.5, a: 7.5, b: 7.5, value: 0.5, source: 'symmetry' },
  { x: 0.25, a: 0.5, b: 0.5, value: 1 / 3, source: 'arcsine law: (2/π)·asin √x' },
])('beta distribution in closed form: $source', ({ x, a, b, value }) =>
  expect(betaCdf(x, a, b)).toBeCloseTo(value, 12),
);

/** The chance of m or more of n, summed term by term: I_p(m, n − m + 1) is the same. */
function binomialTail(n: number, m: number, p: number): number {
  let sum = 0;
  for (let i = m; i <= n; i += 1) {
    let ways = 1;
    for (let j = 0; j < i; j += 1) ways *= (n - j) / (j + 1);
    sum += ways * p ** i * (1 - p) ** (n - i);
  }
  return sum;
}

test('beta distribution against binomial tails, summed', () => {
  const cases = fc.record({
    n: fc.integer({ min: 1, max: 30 }),
    m: fc.nat(29),
    p: fc.double({ min: 0, max: 1, noNaN: true }),
  });
  fc.assert(
    fc.property(cases, ({ n, m, p }) => {
      const count = (m % n) + 1;
      expect(betaCdf(p, count, n - count + 1)).toBeCloseTo(binomialTail(n, count, p), 10);
    }),
  );
});

test('the inverse gives back the chance', () => {
  const size = fc.double({ min: 0.5, max: 40, noNaN: true });
  fc.assert(
    fc.property(fc.double({ min: 0.001, max: 0.999, noNaN: true }), size, size, (p, a, b) => {
      expect(betaCdf(betaInverse(p, a, b), a, b)).toBeCloseTo(p, 9);
    }),
  );
});

// Student's t, two-sided 95 %, from the tables of any textbook (from memory).
test.each([
  { degrees: 1, t: 12.706 },
  { degrees: 2, t: 4.303 },
  { degrees: 4, t: 2.776 },
  { degrees: 10, t: 2.228 },
  { degrees: 30, t: 2.042 },
])('t for $degrees degrees of freedom is $t', ({ degrees, t }) =>
  expect(studentTwoSided(0.95, degrees)).toBeCloseTo(t, 3),
);

test('arguments outside their bounds are refused', () => {
  expect(() => logGamma(0)).toThrow(RangeError);
  expect(() => betaCdf(1.1, 1, 1)).toThrow(RangeError);
  expect(() => betaCdf(0.5, 0, 1)).toThrow(RangeError);
  expect(() => betaInverse(Number.NaN, 1, 1)).toThrow(RangeError);
  expect(() => studentTwoSided(1, 3)).toThrow(RangeError);
});

test('the inverse has its ends, and none beyond them', () => {
  expect([betaInverse(0, 2, 3), betaInverse(1, 2, 3)]).toEqual([0, 1]);
  for (const p of [-0.01, 1.01, -Infinity, Infinity]) expect(() => betaInverse(p, 2, 3)).toThrow(RangeError);
});
