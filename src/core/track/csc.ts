import { normaliseRad } from '../geometry/angles';
import { chainOf, type Chain } from '../geometry/chain';
import type { Pose } from '../geometry/pose';

/** Left (+1) or right (−1): the way an arc turns. */
export type Side = 1 | -1;

/** Arc, straight, arc with one radius for both arcs. */
export type CscTrack = {
  sides: readonly [Side, Side];
  radiusM: number;
  /** How far each arc turns, radians, 0 or more. */
  firstTurnRad: number;
  secondTurnRad: number;
  straightM: number;
  /** The heading of the straight. */
  straightRad: number;
  lengthM: number;
};

const FULL_TURN_RAD = 2 * Math.PI;
/** An arc that misses a whole turn by less than this, on the ground or in direction, has vanished. */
const VANISHED_M = 1e-9;
const VANISHED_RAD = 1e-12;
/** Circles with centres this near are one circle. */
const ONE_CIRCLE_M = 1e-8;
/** Circles that overlap by less than this share of their radius only touch. */
const TOUCHING = 1e-9;

/** The turn from one heading to another on one side, within [0, 2π); a whole turn but for rounding counts as none. */
export function turnOnSide(fromRad: number, toRad: number, side: Side, radiusM: number): number {
  const positive = normaliseRad(side * (toRad - fromRad));
  return FULL_TURN_RAD - positive < Math.max(VANISHED_M / radiusM, VANISHED_RAD) ? 0 : positive;
}

/**
 * The track that turns to one side, goes straight, and turns to the same or the other side, at one radius: the straight
 * is the tangent of the two circles.
 * @returns null where the circles of an S overlap, so that they have no such tangent
 * @throws {RangeError} a radius that is not positive and finite
 */
export function cscTrack(from: Pose, to: Pose, sides: readonly [Side, Side], radiusM: number): CscTrack | null {
  if (!(radiusM > 0 && radiusM < Infinity)) throw new RangeError(`cscTrack: radiusM ${radiusM}`);
  const [first, second] = sides;
  const h0 = from.headingRad;
  const h1 = to.headingRad;
  const dx = to.at.xM - from.at.xM - radiusM * (second * Math.sin(h1) - first * Math.sin(h0));
  const dy = to.at.yM - from.at.yM + radiusM * (second * Math.cos(h1) - first * Math.cos(h0));
  const apartM = Math.sqrt(dx * dx + dy * dy);
  let straightM = apartM;
  let straightRad = Math.atan2(dy, dx);
  if (first === second) {
    // On one circle there is no straight, and the whole turn is the first arc.
    if (apartM < ONE_CIRCLE_M) {
      straightM = 0;
      straightRad = h1;
    }
  } else {
    const square = apartM * apartM - 4 * radiusM * radiusM;
    if (square < -TOUCHING * radiusM * radiusM) return null;
    straightM = Math.sqrt(Math.max(0, square));
    straightRad += first * Math.atan2(2 * radiusM, straightM);
  }
  const firstTurnRad = turnOnSide(h0, straightRad, first, radiusM);
  const secondTurnRad = turnOnSide(straightRad, h1, second, radiusM);
  const lengthM = radiusM * (firstTurnRad + secondTurnRad) + straightM;
  return { sides, radiusM, firstTurnRad, secondTurnRad, straightM, straightRad, lengthM };
}

/** The track as a chain to ride. */
export function cscChain(from: Pose, track: CscTrack): Chain {
  const { sides, radiusM, firstTurnRad, secondTurnRad, straightM } = track;
  return chainOf(from, [
    { kind: 'turn', radiusM, sweepRad: sides[0] * firstTurnRad },
    { kind: 'straight', lengthM: straightM },
    { kind: 'turn', radiusM, sweepRad: sides[1] * secondTurnRad },
  ]);
}
