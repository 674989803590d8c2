const FULL_TURN_RAD = 2 * Math.PI;

/**
 * The same direction within [0, 2π).
 * @throws {RangeError} a direction that is not finite
 */
export function normaliseRad(angleRad: number): number {
  if (!Number.isFinite(angleRad)) throw new RangeError(`normaliseRad(${angleRad})`);
  const wrapped = angleRad % FULL_TURN_RAD;
  const positive = wrapped < 0 ? wrapped + FULL_TURN_RAD : wrapped;
  return positive >= FULL_TURN_RAD ? 0 : positive;
}

/**
 * From a facing on paper (degrees clockwise from "towards C") to a heading in the core (radians anticlockwise from +x).
 * @throws {RangeError} a facing that is not finite
 */
export function headingFromFacing(facingDeg: number): number {
  return normaliseRad(((90 - facingDeg) * Math.PI) / 180);
}

/**
 * From a heading in the core to a facing on paper, 0 up to but not including 360.
 * @throws {RangeError} a heading that is not finite
 */
export function facingFromHeading(headingRad: number): number {
  if (!Number.isFinite(headingRad)) throw new RangeError(`facingFromHeading(${headingRad})`);
  const facingDeg = (90 - (headingRad * 180) / Math.PI) % 360;
  const positive = facingDeg < 0 ? facingDeg + 360 : facingDeg;
  return positive >= 360 ? 0 : positive;
}

/**
 * The shorter turn from one heading to another, anticlockwise positive, over −π up to π.
 * @throws {RangeError} a heading that is not finite
 */
export function turnBetween(fromRad: number, toRad: number): number {
  const turnRad = normaliseRad(toRad - fromRad);
  return turnRad > Math.PI ? turnRad - FULL_TURN_RAD : turnRad;
}
