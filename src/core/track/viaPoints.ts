import type { Arena } from '../arena/arena';
import { distanceM, type PointM } from '../geometry/pointM';

/** A point of the sand to ride through, and what a way through it is at least as long as, metres. */
export type ViaPoint = { via: PointM; atLeastM: number };

/** Points lie so far apart, metres; on a large sand farther, so that they are not too many. */
const GRID_M = 2.5;
const MOST_POINTS = 400;

/** The points of a grid over the sand, the least detour first: once a way is found, those whose detour is longer are done. */
export function viaPoints({ widthM, lengthM }: Arena, from: PointM, to: PointM): ViaPoint[] {
  const stepM = Math.max(GRID_M, Math.sqrt((widthM * lengthM) / MOST_POINTS));
  const points: ViaPoint[] = [];
  for (let xM = stepM; xM < widthM; xM += stepM)
    for (let yM = stepM; yM < lengthM; yM += stepM) {
      const via = { xM, yM };
      points.push({ via, atLeastM: distanceM(from, via) + distanceM(via, to) });
    }
  return points.sort((a, b) => a.atLeastM - b.atLeastM);
}
