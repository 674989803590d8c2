import type { Chain } from './chain';
import { distanceM, pointAlong, type PointM } from './pointM';
import { angleAlongArc, arcCentre, segmentLengthM, type Segment } from './segment';

type Line = Extract<Segment, { kind: 'line' }>;
type Arc = Extract<Segment, { kind: 'arc' }>;

export type Crossing = { at: PointM; alongAM: number; alongBM: number };

/** A point this near to the end of a segment is on it. */
const END_M = 1e-9;

/**
 * Where two segments meet: none, one or two points, each with its distance along both. Pieces that run on top of each
 * other for a stretch have no points of crossing.
 */
export function segmentCrossings(a: Segment, b: Segment): Crossing[] {
  return candidates(a, b).flatMap(at => {
    const alongAM = alongIfOn(a, at);
    const alongBM = alongIfOn(b, at);
    return alongAM === null || alongBM === null ? [] : [{ at, alongAM, alongBM }];
  });
}

/** Where two chains cross, in order along the first. A crossing at a joint is told once. */
export function chainCrossings(a: Chain, b: Chain): Crossing[] {
  const crossings: Crossing[] = [];
  let beforeAM = 0;
  for (const segmentA of a.segments) {
    let beforeBM = 0;
    for (const segmentB of b.segments) {
      for (const { at, alongAM, alongBM } of segmentCrossings(segmentA, segmentB))
        crossings.push({ at, alongAM: beforeAM + alongAM, alongBM: beforeBM + alongBM });
      beforeBM += segmentLengthM(segmentB);
    }
    beforeAM += segmentLengthM(segmentA);
  }
  crossings.sort((p, q) => p.alongAM - q.alongAM || p.alongBM - q.alongBM);
  return crossings.filter((crossing, index) => !isSame(crossings[index - 1], crossing));
}

function isSame(a: Crossing | undefined, b: Crossing): boolean {
  return a !== undefined && distanceM(a.at, b.at) < 1e-7 && Math.abs(a.alongBM - b.alongBM) < 1e-6;
}

function candidates(a: Segment, b: Segment): PointM[] {
  if (a.kind === 'line') return b.kind === 'line' ? lineLine(a, b) : lineCircle(a, b);
  return b.kind === 'line' ? lineCircle(b, a) : circleCircle(a, b);
}

function lineLine(a: Line, b: Line): PointM[] {
  const cross = Math.sin(b.start.headingRad - a.start.headingRad);
  if (Math.abs(cross) < 1e-12) return [];
  const dx = b.start.at.xM - a.start.at.xM;
  const dy = b.start.at.yM - a.start.at.yM;
  const alongM = (dx * Math.sin(b.start.headingRad) - dy * Math.cos(b.start.headingRad)) / cross;
  return [pointAlong(a.start.at, a.start.headingRad, alongM)];
}

function lineCircle(line: Line, arc: Arc): PointM[] {
  const centre = arcCentre(arc);
  const { at, headingRad } = line.start;
  const dx = centre.xM - at.xM;
  const dy = centre.yM - at.yM;
  const footM = dx * Math.cos(headingRad) + dy * Math.sin(headingRad);
  const asideM = dy * Math.cos(headingRad) - dx * Math.sin(headingRad);
  return symmetricM(arc.radiusM * arc.radiusM - asideM * asideM, arc.radiusM).map(offM =>
    pointAlong(at, headingRad, footM + offM),
  );
}

function circleCircle(a: Arc, b: Arc): PointM[] {
  const centreA = arcCentre(a);
  const centreB = arcCentre(b);
  const apartM = distanceM(centreA, centreB);
  if (apartM < 1e-12) return [];
  const alongM = (apartM * apartM + a.radiusM * a.radiusM - b.radiusM * b.radiusM) / (2 * apartM);
  const headingRad = Math.atan2(centreB.yM - centreA.yM, centreB.xM - centreA.xM);
  const foot = pointAlong(centreA, headingRad, alongM);
  return symmetricM(a.radiusM * a.radiusM - alongM * alongM, a.radiusM).map(offM =>
    pointAlong(foot, headingRad + Math.PI / 2, offM),
  );
}

/** ±√square; one value where the curves only touch, none where they miss. */
function symmetricM(square: number, scaleM: number): number[] {
  const rounding = 1e-12 * scaleM * scaleM;
  if (square < -rounding) return [];
  if (square <= rounding) return [0];
  const rootM = Math.sqrt(square);
  return [-rootM, rootM];
}

function alongIfOn(segment: Segment, point: PointM): number | null {
  const lengthM = segmentLengthM(segment);
  if (segment.kind === 'line') {
    const { at, headingRad } = segment.start;
    const alongM = (point.xM - at.xM) * Math.cos(headingRad) + (point.yM - at.yM) * Math.sin(headingRad);
    return alongM >= -END_M && alongM <= lengthM + END_M ? Math.min(lengthM, Math.max(0, alongM)) : null;
  }
  const turnedRad = angleAlongArc(segment, point);
  const slackRad = END_M / segment.radiusM;
  if (turnedRad <= Math.abs(segment.sweepRad) + slackRad) return Math.min(lengthM, turnedRad * segment.radiusM);
  return turnedRad >= 2 * Math.PI - slackRad ? 0 : null;
}
