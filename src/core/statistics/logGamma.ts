/** Lanczos' coefficients for g = 7 (from memory; good to about 15 digits). */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];

/**
 * The logarithm of the gamma function.
 * @param x - finite, > 0
 * @throws {RangeError} x outside those bounds
 */
export function logGamma(x: number): number {
  if (!(x > 0 && x < Infinity)) throw new RangeError(`logGamma(${x})`);
  // Reflection: Γ(x)·Γ(1 − x) = π ÷ sin πx.
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const z = x - 1;
  const series = LANCZOS.reduce((sum, coefficient, i) => (i === 0 ? coefficient : sum + coefficient / (z + i)), 0);
  const t = z + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(series);
}
