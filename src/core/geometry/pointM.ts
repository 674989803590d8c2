/** A place on the sand, metres. x to the right and y towards C, from the A-end corner of the left long side. */
export type PointM = { xM: number; yM: number };

/** Straight-line distance, metres. */
export function distanceM(a: PointM, b: PointM): number {
  return Math.hypot(b.xM - a.xM, b.yM - a.yM);
}

/** The point `alongM` from `from` in the direction `headingRad` (anticlockwise from +x). */
export function pointAlong(from: PointM, headingRad: number, alongM: number): PointM {
  return { xM: from.xM + alongM * Math.cos(headingRad), yM: from.yM + alongM * Math.sin(headingRad) };
}
