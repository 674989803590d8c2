import { poseAt, type Chain } from '../geometry/chain';
import { distanceM, type PointM } from '../geometry/pointM';

/** The sand is looked at in squares so wide, metres: as near as somebody taps a spot on a phone. */
export const CELL_M = 4;
const EVERY_M = 1;

const cellOf = (metres: number) => (Math.floor(metres / CELL_M) + 0.5) * CELL_M;

/**
 * The middles of the squares of sand that a way goes through, each once; those that lie by a place that is looked at anyway are left
 * out.
 * @param apartM - nearer than this to one of `others` is by it, metres
 */
export function wayCells(chains: readonly Chain[], others: readonly PointM[], apartM: number): PointM[] {
  const cells = new Map<string, PointM>();
  for (const chain of chains) {
    const steps = Math.max(1, Math.ceil(chain.lengthM / EVERY_M));
    for (let step = 0; step <= steps; step += 1) {
      const { at } = poseAt(chain, (chain.lengthM * step) / steps);
      const cell = { xM: cellOf(at.xM), yM: cellOf(at.yM) };
      cells.set(`${cell.xM} ${cell.yM}`, cell);
    }
  }
  return [...cells.values()].filter(cell => others.every(other => distanceM(other, cell) > apartM));
}

/** The square that a spot belongs to: the nearest, no farther than a square is wide; null where nothing was ridden near it. */
export function cellAt(cells: readonly PointM[], spot: PointM): PointM | null {
  let best: PointM | null = null;
  for (const cell of cells) if (!best || distanceM(cell, spot) < distanceM(best, spot)) best = cell;
  return best && distanceM(best, spot) <= CELL_M ? best : null;
}
