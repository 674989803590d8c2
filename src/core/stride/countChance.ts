import { neededShare, type DistanceRule } from './distanceRule';
import { normalCdf } from './normalCdf';

/**
 * How likely a horse is to put in this count: the chance that its stride of the moment, normal about its own mean, makes
 * the ground enough for n − ½ strides and not enough for n + ½. No count is below none, so none takes all that is less.
 * Where landing and take-off keep their length (the two-metre school), only the strides between them vary, as in q: what a
 * horse needs for a count is reckoned one way, whether it is asked or left to it.
 * @param inStrides - the ground in normal strides
 * @param spread - standard deviation of the stride, as a share of normal, > 0
 */
export function countChance(inStrides: number, strides: number, rule: DistanceRule, spread: number): number {
  if (!(spread > 0 && spread < Infinity)) throw new RangeError(`countChance: spread ${spread}`);
  /** The chance that the ground is enough for so many strides: that the stride is short enough. */
  const chanceOfAtLeast = (count: number) => normalCdf((neededShare(inStrides, count, rule) - 1) / spread);
  const atLeast = strides === 0 ? 1 : chanceOfAtLeast(strides - 0.5);
  return Math.max(0, atLeast - chanceOfAtLeast(strides + 0.5));
}
