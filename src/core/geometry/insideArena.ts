import type { Arena } from '../arena/arena';
import { outlineSides, toOutlineM } from '../arena/outline';
import { nearestOnChain, type Chain } from './chain';
import { segmentCrossings } from './intersections';
import { pointAlong, type PointM } from './pointM';
import {
  angleAlongArc,
  arcCentre,
  lineSegment,
  nearestOnSegment,
  segmentEnd,
  segmentLengthM,
  segmentPoseAt,
  type Segment,
} from './segment';

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
  const clearM = arena.outline ? outlineClearanceM(arena.outline, chain) : boxClearanceM(arena, chain);
  return Math.min(clearM, thingClearanceM(arena, chain));
}

function boxClearanceM(arena: Arena, chain: Chain): number {
  const extents = chain.segments.length > 0 ? chain.segments.map(segmentExtent) : [boxAround([chain.start.at])];
  return Math.min(
    ...extents.map(({ minXM, maxXM, minYM, maxYM }) =>
      Math.min(minXM, minYM, arena.widthM - maxXM, arena.lengthM - maxYM),
    ),
  );
}

/** A rider keeps so far from what stands on the sand, beside the line that is ridden (common practice, no source). */
export const ROUND_THINGS_M = 1;

function thingClearanceM({ standing = [] }: Arena, chain: Chain): number {
  return Math.min(
    Infinity,
    ...standing.map(({ at, radiusM }) => nearestOnChain(chain, at).awayM - radiusM - ROUND_THINGS_M),
  );
}

/** The same from an outline: exact for lines and arcs, and negative by how far an end is out, or by a hair where it crosses. */
function outlineClearanceM(outline: readonly PointM[], chain: Chain): number {
  const ends = [chain.start.at, ...chain.segments.map(segment => segmentEnd(segment).at)];
  const endsM = Math.min(...ends.map(end => toOutlineM(outline, end)));
  if (endsM < 0) return endsM;
  const sides = outlineSides(outline).map(([from, to]) => {
    const headingRad = Math.atan2(to.yM - from.yM, to.xM - from.xM);
    return lineSegment({ at: from, headingRad }, Math.hypot(to.xM - from.xM, to.yM - from.yM));
  });
  let clearM = endsM;
  for (const segment of chain.segments)
    for (const side of sides) {
      if (segmentCrossings(segment, side).some(({ alongAM }) => leavesAt(outline, segment, alongAM))) return -CROSSED_M;
      clearM = Math.min(clearM, nearestOnSegment(segment, side.start.at).awayM, arcToSideM(segment, side));
    }
  return clearM;
}

/** A wall that is crossed without an end outside: told as this much. */
const CROSSED_M = 1e-3;
/** So near before and behind a wall it shows whether it was crossed, or only touched. */
const BESIDE_M = 0.01;

function leavesAt(outline: readonly PointM[], segment: Segment, alongM: number): boolean {
  const near = [alongM - BESIDE_M, alongM + BESIDE_M].filter(at => at > 0 && at < segmentLengthM(segment));
  return near.some(at => toOutlineM(outline, segmentPoseAt(segment, at).at) < -1e-4);
}

/** How near an arc comes to a straight wall where it runs level with it; Infinity where it does not. */
function arcToSideM(segment: Segment, side: Segment): number {
  if (segment.kind !== 'arc') return Infinity;
  const centre = arcCentre(segment);
  const near = [1, -1].flatMap(sign => {
    const towards = side.start.headingRad + (sign * Math.PI) / 2;
    const at = pointAlong(centre, towards, segment.radiusM);
    return angleAlongArc(segment, at) <= Math.abs(segment.sweepRad) ? [nearestOnSegment(side, at).awayM] : [];
  });
  return Math.min(Infinity, ...near);
}

/** A nanometre of rounding is not off the sand. */
const ROUNDING_M = 1e-9;

/** Whether a chain stays on the sand, at least `clearanceM` from every wall. */
export function isChainInside(arena: Arena, chain: Chain, clearanceM = 0): boolean {
  return wallClearanceM(arena, chain) >= clearanceM - ROUNDING_M;
}
