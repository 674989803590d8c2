import type { Arena } from '../arena/arena';
import { poseAt, type Chain } from '../geometry/chain';
import { distanceM, type PointM } from '../geometry/pointM';

/** The sand is looked at in squares so wide, metres: as near as somebody taps a spot on a phone. */
export const CELL_M = 4;
const EVERY_M = 1;

/** The middle of a square, on the sand: what is ridden along a wall lies in the last square before it. */
const cellOf = (metres: number, sideM: number) =>
  Math.min(sideM, (Math.floor(Math.max(0, Math.min(metres, sideM - 1e-6)) / CELL_M) + 0.5) * CELL_M);

/**
 * The middles of the squares of sand that a way goes through, each once; those that lie by a place that is looked at anyway are left
 * out.
 * @param apartM - nearer than this to one of `others` is by it, metres
 */
export function wayCells(
  arena: Pick<Arena, 'widthM' | 'lengthM'>,
  chains: readonly Chain[],
  others: readonly PointM[],
  apartM: number,
): PointM[] {
  const cells = new Map<string, PointM>();
  for (const chain of chains) {
    const steps = Math.max(1, Math.ceil(chain.lengthM / EVERY_M));
    for (let step = 0; step <= steps; step += 1) {
      const { at } = poseAt(chain, (chain.lengthM * step) / steps);
      const cell = { xM: cellOf(at.xM, arena.widthM), yM: cellOf(at.yM, arena.lengthM) };
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
