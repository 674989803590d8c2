import { poseAt, withSegments, type Chain } from './chain';
import { arcSegment, lineSegment, segmentLengthM, segmentPoseAt, type Segment } from './segment';

/** Pieces shorter than this are rounding, not track. */
const NOTHING_M = 1e-9;

/**
 * The piece of a chain from `fromM` to `toM` along it.
 * @throws {RangeError} bounds that do not lie in order on the chain (half a micron is forgiven)
 */
export function chainPart(chain: Chain, fromM: number, toM: number): Chain {
  if (!(fromM >= -5e-7 && fromM <= toM && toM <= chain.lengthM + 5e-7))
    throw new RangeError(`chainPart: ${fromM} to ${toM} of ${chain.lengthM} m`);
  const segments: Segment[] = [];
  let beforeM = 0;
  for (const segment of chain.segments) {
    const lengthM = segmentLengthM(segment);
    const a = Math.max(0, fromM - beforeM);
    const b = Math.min(lengthM, toM - beforeM);
    if (b - a > NOTHING_M) segments.push(cutSegment(segment, a, b));
    beforeM += lengthM;
  }
  const start = segments[0]?.start ?? poseAt(chain, Math.min(Math.max(0, fromM), chain.lengthM));
  return withSegments(start, segments);
}

/** The piece of a segment from `fromM` to `toM` along it. */
export function cutSegment(segment: Segment, fromM: number, toM: number): Segment {
  const start = segmentPoseAt(segment, fromM);
  if (segment.kind === 'line') return lineSegment(start, toM - fromM);
  return arcSegment(start, segment.radiusM, (Math.sign(segment.sweepRad) * (toM - fromM)) / segment.radiusM);
}
