import { type PointM } from './pointM';
import type { Pose } from './pose';
import {
  arcSegment,
  lineSegment,
  nearestOnSegment,
  reversedSegment,
  segmentEnd,
  segmentLengthM,
  segmentPoseAt,
  type Segment,
} from './segment';

/** A tangent-continuous chain of straight lines and arcs. Nothing on it is sampled to be measured. */
export type Chain = { start: Pose; segments: readonly Segment[]; lengthM: number };

/** What to ride next: straight on, or round a piece of a circle (a left turn is positive). */
export type Move = { kind: 'straight'; lengthM: number } | { kind: 'turn'; radiusM: number; sweepRad: number };

/** A chain that begins at a pose and makes these moves; moves of no length leave no piece behind. */
export function chainOf(start: Pose, moves: readonly Move[]): Chain {
  const segments: Segment[] = [];
  let at = start;
  for (const move of moves) {
    const segment =
      move.kind === 'straight' ? lineSegment(at, move.lengthM) : arcSegment(at, move.radiusM, move.sweepRad);
    if (segmentLengthM(segment) === 0) continue;
    segments.push(segment);
    at = segmentEnd(segment);
  }
  return withSegments(start, segments);
}

/** Chains ridden one after the other; each begins where the one before it ends. */
export function joinChains(chains: readonly Chain[]): Chain {
  const first = chains[0];
  if (!first) throw new RangeError('joinChains: no chains');
  return withSegments(
    first.start,
    chains.flatMap(chain => chain.segments),
  );
}

/** A chain of pieces that are known to follow each other. */
export function withSegments(start: Pose, segments: readonly Segment[]): Chain {
  return { start, segments, lengthM: segments.reduce((sum, segment) => sum + segmentLengthM(segment), 0) };
}

/** The pose at the end. */
export function chainEnd(chain: Chain): Pose {
  const last = chain.segments[chain.segments.length - 1];
  return last ? segmentEnd(last) : chain.start;
}

/**
 * The pose `alongM` metres along.
 * @throws {RangeError} a distance outside the chain (half a micron is forgiven), or not a number
 */
export function poseAt(chain: Chain, alongM: number): Pose {
  if (!(alongM >= -5e-7 && alongM <= chain.lengthM + 5e-7))
    throw new RangeError(`poseAt: ${alongM} of ${chain.lengthM} m`);
  let leftM = Math.max(0, alongM);
  for (const segment of chain.segments) {
    const lengthM = segmentLengthM(segment);
    if (leftM <= lengthM) return segmentPoseAt(segment, leftM);
    leftM -= lengthM;
  }
  return chainEnd(chain);
}

export type NearestPoint = { alongM: number; awayM: number; pose: Pose };

/** The point of a chain nearest to `point`; the earlier one when two are equally near. */
export function nearestOnChain(chain: Chain, point: PointM): NearestPoint {
  let best = { alongM: 0, awayM: Math.hypot(chain.start.at.xM - point.xM, chain.start.at.yM - point.yM) };
  let beforeM = 0;
  for (const segment of chain.segments) {
    const near = nearestOnSegment(segment, point);
    if (near.awayM < best.awayM) best = { alongM: beforeM + near.alongM, awayM: near.awayM };
    beforeM += segmentLengthM(segment);
  }
  return { ...best, pose: poseAt(chain, best.alongM) };
}

/** The smallest radius of its arcs, or null where it is straight. */
export function smallestRadiusM(chain: Chain): number | null {
  const radii = chain.segments.flatMap(segment => (segment.kind === 'arc' ? [segment.radiusM] : []));
  return radii.length === 0 ? null : Math.min(...radii);
}

/** All turning added up, left positive: what the heading changes by. */
export function netTurnRad(chain: Chain): number {
  return chain.segments.reduce((sum, segment) => sum + (segment.kind === 'arc' ? segment.sweepRad : 0), 0);
}

/** All turning added up whichever way it goes, ≥ 0. */
export function totalTurnRad(chain: Chain): number {
  return chain.segments.reduce((sum, segment) => sum + (segment.kind === 'arc' ? Math.abs(segment.sweepRad) : 0), 0);
}

/** The same track ridden the other way. */
export function reversedChain(chain: Chain): Chain {
  const end = chainEnd(chain);
  return {
    start: { at: end.at, headingRad: end.headingRad + Math.PI },
    segments: [...chain.segments].reverse().map(reversedSegment),
    lengthM: chain.lengthM,
  };
}
