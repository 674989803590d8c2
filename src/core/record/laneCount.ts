import { normalCdf } from '../stride/normalCdf';

/** Chances of the whole numbers from `from` on. */
export type WholeChances = { from: number; chances: number[] };

/** Beyond so many standard deviations nothing is counted. */
const REACH = 6;

/**
 * How likely each count is of one pass through a lane: the first foot lands anywhere in the first stride, so y strides are
 * counted n times with the chance 1 − |y − n|; y varies normally about the strides of the lane.
 * @param strides - of the horse's mean in the lane, > 0
 * @param spread - how much they vary from pass to pass, a share of them, > 0
 */
export function countChances(strides: number, spread: number): WholeChances {
  const own = spread * strides;
  // The integral of the normal distribution function, up to a constant: t·Φ(t) + φ(t).
  const summed = (x: number) => {
    const t = (x - strides) / own;
    return own * (t * normalCdf(t) + Math.exp((-t * t) / 2) / Math.sqrt(2 * Math.PI));
  };
  const from = Math.max(0, Math.floor(strides - REACH * own) - 1);
  const to = Math.ceil(strides + REACH * own) + 1;
  const sums = Array.from({ length: to - from + 3 }, (_, index) => summed(from - 1 + index));
  const chances = sums.slice(1, -1).map((middle, index) => Math.max(0, sums[index]! - 2 * middle + sums[index + 2]!));
  return { from, chances };
}

/** How likely each sum of so many independent numbers is, each with the same chances. */
export function sumChances(one: WholeChances, times: number): WholeChances {
  let all: WholeChances = { from: 0, chances: [1] };
  for (let time = 0; time < times; time += 1) all = added(all, one);
  return all;
}

function added(a: WholeChances, b: WholeChances): WholeChances {
  const chances = new Array<number>(a.chances.length + b.chances.length - 1).fill(0);
  a.chances.forEach((chance, i) => {
    // What cannot be told from none is left out: sums of many passes stay short.
    if (chance > 1e-14) b.chances.forEach((other, j) => (chances[i + j]! += chance * other));
  });
  return { from: a.from + b.from, chances };
}
