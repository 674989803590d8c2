import { cutSegment } from './chainPart';
import { segmentCrossings } from './intersections';
import { distanceM, pointAlong, type PointM } from './pointM';
import type { Chain } from './chain';
import type { Pose } from './pose';
import { arcSegment, lineSegment, segmentEnd, segmentLengthM, type Segment } from './segment';

export type OffsetTrack =
  /** `corners`: where the inside of a turn was tighter than the offset, and the two sides meet at an angle instead. */
  | { ok: true; segments: Segment[]; lengthM: number; corners: PointM[] }
  /** The offset eats the whole turn and what lies beside it: nothing is left to ride. */
  | { ok: false; reason: 'turn-too-tight' };

/**
 * The line `leftM` metres to the left of a track (negative: to the right). Inside a turn that is tighter than the
 * offset the line would fold back on itself in a cusp: the folded piece is left out, and its neighbours are cut off
 * where they cross.
 * @throws {RangeError} an offset that is not finite
 */
export function sideOffset(chain: Chain, leftM: number): OffsetTrack {
  if (!Number.isFinite(leftM)) throw new RangeError(`sideOffset: leftM ${leftM}`);
  const kept: Segment[] = [];
  const corners: PointM[] = [];
  for (const segment of chain.segments) {
    const moved = offsetSegment(segment, leftM);
    if (moved === null) continue;
    const corner = joinTo(kept, moved);
    if (corner === 'no-meeting') return { ok: false, reason: 'turn-too-tight' };
    if (corner) corners.push(corner);
  }
  if (kept.length === 0 && chain.segments.length > 0) return { ok: false, reason: 'turn-too-tight' };
  const lengthM = kept.reduce((sum, segment) => sum + segmentLengthM(segment), 0);
  return { ok: true, segments: kept, lengthM, corners };
}

function beside(pose: Pose, leftM: number): Pose {
  return { at: pointAlong(pose.at, pose.headingRad + Math.PI / 2, leftM), headingRad: pose.headingRad };
}

/** The segment moved aside, or null for a turn that the offset swallows. */
function offsetSegment(segment: Segment, leftM: number): Segment | null {
  const start = beside(segment.start, leftM);
  if (segment.kind === 'line') return lineSegment(start, segment.lengthM);
  const radiusM = segment.radiusM - Math.sign(segment.sweepRad) * leftM;
  return radiusM > 1e-9 ? arcSegment(start, radiusM, segment.sweepRad) : null;
}

const TOUCHING_M = 1e-7;

/** Adds a segment; where a swallowed turn left a fold, cuts both sides off at their crossing and returns it. */
function joinTo(kept: Segment[], next: Segment): PointM | 'no-meeting' | null {
  const last = kept[kept.length - 1];
  if (!last || distanceM(segmentEnd(last).at, next.start.at) < TOUCHING_M) {
    kept.push(next);
    return null;
  }
  for (let index = kept.length - 1; index >= 0; index -= 1) {
    const crossing = segmentCrossings(kept[index]!, next)[0];
    if (!crossing) continue;
    const head = cutSegment(kept[index]!, 0, crossing.alongAM);
    kept.splice(index, kept.length - index, head, cutSegment(next, crossing.alongBM, segmentLengthM(next)));
    return crossing.at;
  }
  return 'no-meeting';
}
