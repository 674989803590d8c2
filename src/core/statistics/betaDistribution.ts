import { logGamma } from './logGamma';

/**
 * The distribution function of the beta distribution: the regularised incomplete beta function I_x(a, b), by its
 * continued fraction (Abramowitz and Stegun, Handbook of Mathematical Functions, 26.5.8, from memory).
 * @param x - 0 to 1
 * @param a - finite, > 0
 * @param b - finite, > 0
 * @throws {RangeError} arguments outside those bounds
 */
export function betaCdf(x: number, a: number, b: number): number {
  if (!(x >= 0 && x <= 1 && a > 0 && a < Infinity && b > 0 && b < Infinity))
    throw new RangeError(`betaCdf(${x}, ${a}, ${b})`);
  if (x === 0 || x === 1) return x;
  // The fraction settles fast below the mean; above it the mirror image does.
  if (x > (a + 1) / (a + b + 2)) return 1 - betaCdf(1 - x, b, a);
  const front = Math.exp(a * Math.log(x) + b * Math.log1p(-x) + logGamma(a + b) - logGamma(a) - logGamma(b));
  return (front / a) * continuedFraction(x, a, b);
}

const TINY = 1e-300;

/** Lentz's way of working a continued fraction from the top. */
function continuedFraction(x: number, a: number, b: number): number {
  const away = (value: number) => (Math.abs(value) < TINY ? TINY : value);
  let c = 1;
  let d = 1 / away(1 - ((a + b) * x) / (a + 1));
  let fraction = d;
  for (let m = 1; m <= 500; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / away(1 + even * d);
    c = away(1 + even / c);
    fraction *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / away(1 + odd * d);
    c = away(1 + odd / c);
    const change = d * c;
    fraction *= change;
    if (Math.abs(change - 1) < 1e-15) break;
  }
  return fraction;
}

/**
 * The value below which a beta deviate falls with chance p: the inverse of betaCdf. By Newton's steps along the density,
 * each kept within the bracket that is known so far, or halving it.
 * @param p - 0 to 1
 * @throws {RangeError} arguments outside their bounds
 */
export function betaInverse(p: number, a: number, b: number): number {
  if (!(p >= 0 && p <= 1)) throw new RangeError(`betaInverse(${p}, ${a}, ${b})`);
  if (p === 0 || p === 1) return betaCdf(p, a, b);
  const logBeta = logGamma(a) + logGamma(b) - logGamma(a + b);
  let [low, high] = [0, 1];
  let x = a / (a + b);
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const off = betaCdf(x, a, b) - p;
    if (off < 0) low = x;
    else high = x;
    const density = Math.exp((a - 1) * Math.log(x) + (b - 1) * Math.log1p(-x) - logBeta);
    const newton = x - off / density;
    const next = newton > low && newton < high ? newton : (low + high) / 2;
    if (Math.abs(next - x) <= 1e-15 * x) return next;
    x = next;
  }
  return x;
}

const MOST_STEPS = 200;
