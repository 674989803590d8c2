import { betaInverse } from './betaDistribution';

/**
 * The value that a Student deviate stays within, either side, with this chance: t of the two-sided interval.
 * By the beta distribution: t² = ν·(1 − x)/x with x the (1 − chance) quantile of beta(ν/2, ½).
 * @param chance - 0 to 1, exclusive
 * @param degrees - of freedom, finite, > 0
 * @throws {RangeError} arguments outside those bounds
 */
export function studentTwoSided(chance: number, degrees: number): number {
  if (!(chance > 0 && chance < 1 && degrees > 0 && degrees < Infinity))
    throw new RangeError(`studentTwoSided(${chance}, ${degrees})`);
  const x = betaInverse(1 - chance, degrees / 2, 0.5);
  return Math.sqrt((degrees * (1 - x)) / x);
}
