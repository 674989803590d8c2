import { assertNever } from '../assertNever';
import { normaliseRad } from './angles';
import { distanceM, pointAlong, type PointM } from './pointM';
import type { Pose } from './pose';

/**
 * A piece of track. It knows where and in which direction it begins, so that a chain of pieces is continuous and
 * tangent-continuous by construction.
 */
export type Segment =
  | { kind: 'line'; start: Pose; lengthM: number }
  /** `sweepRad`: anticlockwise (a left turn) is positive. */
  | { kind: 'arc'; start: Pose; radiusM: number; sweepRad: number };

/**
 * A straight piece.
 * @throws {RangeError} a length that is negative or not finite
 */
export function lineSegment(start: Pose, lengthM: number): Segment {
  if (!(lengthM >= 0 && lengthM < Infinity)) throw new RangeError(`lineSegment: lengthM ${lengthM}`);
  return { kind: 'line', start, lengthM };
}

/**
 * A piece of a circle.
 * @throws {RangeError} a radius that is not positive and finite, or a sweep that is not finite
 */
export function arcSegment(start: Pose, radiusM: number, sweepRad: number): Segment {
  if (!(radiusM > 0 && radiusM < Infinity && Number.isFinite(sweepRad)))
    throw new RangeError(`arcSegment: radiusM ${radiusM}, sweepRad ${sweepRad}`);
  return { kind: 'arc', start, radiusM, sweepRad };
}

/** Length in closed form, metres: s = r·|θ| for an arc (definition of the radian). */
export function segmentLengthM(segment: Segment): number {
  switch (segment.kind) {
    case 'line':
      return segment.lengthM;
    case 'arc':
      return segment.radiusM * Math.abs(segment.sweepRad);
    default:
      return assertNever(segment);
  }
}

/** The centre of an arc: to the left of its start for a left turn, to the right for a right one. */
export function arcCentre(arc: Extract<Segment, { kind: 'arc' }>): PointM {
  return pointAlong(arc.start.at, arc.start.headingRad + (Math.sign(arc.sweepRad) || 1) * (Math.PI / 2), arc.radiusM);
}

/** The pose `alongM` metres from the start of a segment; beyond its ends it goes on as it is curved. */
export function segmentPoseAt(segment: Segment, alongM: number): Pose {
  const { at, headingRad } = segment.start;
  if (segment.kind === 'line') return { at: pointAlong(at, headingRad, alongM), headingRad };
  const side = Math.sign(segment.sweepRad) || 1;
  const turnedRad = (side * alongM) / segment.radiusM;
  const centre = arcCentre(segment);
  const endHeadingRad = headingRad + turnedRad;
  return { at: pointAlong(centre, endHeadingRad - side * (Math.PI / 2), segment.radiusM), headingRad: endHeadingRad };
}

/** The pose at the end of a segment. */
export function segmentEnd(segment: Segment): Pose {
  return segmentPoseAt(segment, segmentLengthM(segment));
}

/** The same piece ridden the other way. */
export function reversedSegment(segment: Segment): Segment {
  const end = segmentEnd(segment);
  const start: Pose = { at: end.at, headingRad: end.headingRad + Math.PI };
  return segment.kind === 'line' ? { ...segment, start } : { ...segment, start, sweepRad: -segment.sweepRad };
}

/**
 * How far along a segment its point nearest to `point` lies, and how far away that is, both metres.
 */
export function nearestOnSegment(segment: Segment, point: PointM): { alongM: number; awayM: number } {
  const alongM = segment.kind === 'line' ? nearestOnLine(segment, point) : nearestOnArc(segment, point);
  return { alongM, awayM: distanceM(segmentPoseAt(segment, alongM).at, point) };
}

function nearestOnLine({ start, lengthM }: Extract<Segment, { kind: 'line' }>, point: PointM): number {
  const dx = point.xM - start.at.xM;
  const dy = point.yM - start.at.yM;
  const alongM = dx * Math.cos(start.headingRad) + dy * Math.sin(start.headingRad);
  return Math.min(lengthM, Math.max(0, alongM));
}

function nearestOnArc(arc: Extract<Segment, { kind: 'arc' }>, point: PointM): number {
  const lengthM = segmentLengthM(arc);
  const sweepRad = Math.abs(arc.sweepRad);
  const turnedRad = angleAlongArc(arc, point);
  if (turnedRad <= sweepRad) return turnedRad * arc.radiusM;
  // Beyond the arc: the nearer end.
  const toStart = distanceM(arc.start.at, point);
  const toEnd = distanceM(segmentEnd(arc).at, point);
  return toStart <= toEnd ? 0 : lengthM;
}

/** How far round its arc a point is seen from the centre, from the start in the direction of travel, within [0, 2π). */
export function angleAlongArc(arc: Extract<Segment, { kind: 'arc' }>, point: PointM): number {
  const centre = arcCentre(arc);
  const side = Math.sign(arc.sweepRad) || 1;
  const startRad = Math.atan2(arc.start.at.yM - centre.yM, arc.start.at.xM - centre.xM);
  const pointRad = Math.atan2(point.yM - centre.yM, point.xM - centre.xM);
  return normaliseRad(side * (pointRad - startRad));
}
