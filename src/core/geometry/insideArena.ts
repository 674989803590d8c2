import type { Arena } from '../arena/arena';
import type { Chain } from './chain';
import type { PointM } from './pointM';
import { angleAlongArc, arcCentre, segmentEnd, type Segment } from './segment';

export type Extent = { minXM: number; maxXM: number; minYM: number; maxYM: number };

/** The box around a segment, exact: the ends, and for an arc the sides of its circle that it passes. */
export function segmentExtent(segment: Segment): Extent {
  const points: PointM[] = [segment.start.at, segmentEnd(segment).at];
  if (segment.kind === 'arc') {
    const { xM, yM } = arcCentre(segment);
    const r = segment.radiusM;
    const sides = [
      { xM: xM + r, yM },
      { xM: xM - r, yM },
      { xM, yM: yM + r },
      { xM, yM: yM - r },
    ];
    points.push(...sides.filter(side => angleAlongArc(segment, side) <= Math.abs(segment.sweepRad)));
  }
  return boxAround(points);
}

function boxAround(points: readonly PointM[]): Extent {
  const xs = points.map(point => point.xM);
  const ys = points.map(point => point.yM);
  return { minXM: Math.min(...xs), maxXM: Math.max(...xs), minYM: Math.min(...ys), maxYM: Math.max(...ys) };
}

/** The least distance from a chain to the walls, metres; negative where it leaves the sand. */
export function wallClearanceM(arena: Arena, chain: Chain): number {
  const extents = chain.segments.length > 0 ? chain.segments.map(segmentExtent) : [boxAround([chain.start.at])];
  return Math.min(
    ...extents.map(({ minXM, maxXM, minYM, maxYM }) =>
      Math.min(minXM, minYM, arena.widthM - maxXM, arena.lengthM - maxYM),
    ),
  );
}

/** A nanometre of rounding is not off the sand. */
const ROUNDING_M = 1e-9;

/** Whether a chain stays on the sand, at least `clearanceM` from every wall. */
export function isChainInside(arena: Arena, chain: Chain, clearanceM = 0): boolean {
  return wallClearanceM(arena, chain) >= clearanceM - ROUNDING_M;
}
