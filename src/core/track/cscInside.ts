import type { Arena } from '../arena/arena';
import type { Pose } from '../geometry/pose';
import { turnOnSide, type CscTrack, type Side } from './csc';

/** A nanometre of rounding is not off the sand. */
const ROUNDING_M = 1e-9;

/**
 * Whether a track between two poses on the sand stays on it, without building its chain: it can only leave where a
 * circle reaches over a wall, on the part of that circle that is ridden.
 */
export function isCscInside(arena: Arena, from: Pose, to: Pose, track: CscTrack): boolean {
  const { sides, radiusM, firstTurnRad, secondTurnRad, straightRad } = track;
  return (
    isTurnInside(arena, from, sides[0], radiusM, from.headingRad, firstTurnRad) &&
    isTurnInside(arena, to, sides[1], radiusM, straightRad, secondTurnRad)
  );
}

/** The turn on the circle beside `pose`, from a heading on, through `turnRad`. */
function isTurnInside(
  arena: Arena,
  pose: Pose,
  side: Side,
  radiusM: number,
  fromRad: number,
  turnRad: number,
): boolean {
  if (turnRad === 0) return true;
  const centreXM = pose.at.xM - side * radiusM * Math.sin(pose.headingRad);
  const centreYM = pose.at.yM + side * radiusM * Math.cos(pose.headingRad);
  const reachM = radiusM - ROUNDING_M;
  // At the right-most point of a circle one rides up (turning left) or down (turning right), and so round.
  return (
    (centreXM + reachM <= arena.widthM || !passes(Math.PI / 2)) &&
    (centreYM + reachM <= arena.lengthM || !passes(Math.PI)) &&
    (centreXM - reachM >= 0 || !passes((3 * Math.PI) / 2)) &&
    (centreYM - reachM >= 0 || !passes(0))
  );

  /** Whether the turn comes by the point where a left turn has this heading (a right turn the opposite one). */
  function passes(leftHeadingRad: number): boolean {
    const headingRad = side === 1 ? leftHeadingRad : leftHeadingRad + Math.PI;
    return turnOnSide(fromRad, headingRad, side, radiusM) <= turnRad;
  }
}
