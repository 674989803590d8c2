import { betaCdf } from './betaDistribution';
import { mean } from './moments';
import type { MeanDifference } from './welch';

/** With its standard error, on how many degrees of freedom, and how many values it is from. */
export type BlockedDifference = MeanDifference & { error: number; degrees: number; values: number };

/** Values of two sides in one block: what is compared within it is alike in all else. */
export type Block = { a: readonly number[]; b: readonly number[] };

/**
 * The difference of two sides within blocks, so that a hard block does not count against the side that has more of it: least
 * squares with an effect of each block and one of the side (Fisher 1925, Statistical Methods for Research Workers; from
 * memory). For one block it is Student's test, for blocks of one and one that of paired values.
 * @returns null where the blocks that have both sides leave nothing to tell a spread from, or nothing varies
 */
export function blockedDifference(blocks: readonly Block[]): BlockedDifference | null {
  const both = blocks.filter(({ a, b }) => a.length > 0 && b.length > 0);
  const values = both.reduce((sum, { a, b }) => sum + a.length + b.length, 0);
  const degrees = values - both.length - 1;
  if (degrees < 1) return null;
  const weightOf = ({ a, b }: Block) => (a.length * b.length) / (a.length + b.length);
  const weight = both.reduce((sum, block) => sum + weightOf(block), 0);
  const difference = both.reduce((sum, block) => sum + weightOf(block) * (mean(block.a) - mean(block.b)), 0) / weight;
  const left = both.reduce((sum, { a, b }) => sum + squaresAboutMean([...a, ...b]), 0) - difference ** 2 * weight;
  const variance = left / degrees;
  if (variance <= 1e-12) return null;
  const error = Math.sqrt(variance / weight);
  const t = difference / error;
  const p = betaCdf(degrees / (degrees + t ** 2), degrees / 2, 0.5);
  return { difference, error, degrees, p, values };
}

function squaresAboutMean(values: readonly number[]): number {
  const middle = mean(values);
  return values.reduce((sum, value) => sum + (value - middle) ** 2, 0);
}
