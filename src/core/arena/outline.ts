import { nearestBetween } from '../geometry/nearestBetween';
import { distanceM, type PointM } from '../geometry/pointM';

/** The sides of an outline one after the other: each from corner to corner, and round to the first. */
export function outlineSides(outline: readonly PointM[]): [PointM, PointM][] {
  return outline.map((corner, index) => [corner, outline[(index + 1) % outline.length]!]);
}

/** How far a point is from an outline, metres; negative outside it. */
export function toOutlineM(outline: readonly PointM[], point: PointM): number {
  const awayM = Math.min(
    ...outlineSides(outline).map(([from, to]) => distanceM(point, nearestBetween(from, to, point))),
  );
  return isWithin(outline, point) ? awayM : -awayM;
}

/** Whether a point lies within an outline: a line from it crosses an odd number of sides (Jordan). */
export function isWithin(outline: readonly PointM[], { xM, yM }: PointM): boolean {
  let within = false;
  for (const [a, b] of outlineSides(outline)) {
    if (a.yM > yM === b.yM > yM) continue;
    if (xM < a.xM + ((yM - a.yM) / (b.yM - a.yM)) * (b.xM - a.xM)) within = !within;
  }
  return within;
}

/** The ground within an outline, square metres; negative where its corners go round clockwise. */
export function outlineAreaM2(outline: readonly PointM[]): number {
  return outlineSides(outline).reduce((sum, [a, b]) => sum + a.xM * b.yM - b.xM * a.yM, 0) / 2;
}

const LEAST_AREA_M2 = 25;
const LEAST_SIDE_M = 0.5;
/** So many corners at most. */
export const MOST_CORNERS = 40;

/** Why corners are no outline of a sand, in a sentence; null where they are one. */
export function outlineFault(outline: readonly PointM[]): string | null {
  if (outline.length < 3) return 'An outline has three corners at least.';
  if (outline.length > MOST_CORNERS) return `An outline has ${MOST_CORNERS} corners at most.`;
  const sides = outlineSides(outline);
  const short = sides.findIndex(([a, b]) => distanceM(a, b) < LEAST_SIDE_M);
  if (short >= 0) return `Corner ${short + 1} and the next lie less than ${LEAST_SIDE_M} m apart.`;
  for (let a = 0; a < sides.length; a += 1)
    for (let b = a + 2; b < sides.length; b += 1)
      if ((b + 1) % sides.length !== a && isCrossed(sides[a]!, sides[b]!))
        return `The side from corner ${a + 1} crosses the one from corner ${b + 1}.`;
  if (Math.abs(outlineAreaM2(outline)) < LEAST_AREA_M2)
    return `There is less than ${LEAST_AREA_M2} m² of sand within it.`;
  return null;
}

function isCrossed([a, b]: readonly [PointM, PointM], [c, d]: readonly [PointM, PointM]): boolean {
  const side = (p: PointM, q: PointM, r: PointM) =>
    Math.sign((q.xM - p.xM) * (r.yM - p.yM) - (q.yM - p.yM) * (r.xM - p.xM));
  return side(a, b, c) !== side(a, b, d) && side(c, d, a) !== side(c, d, b);
}

/** Corners the way they are kept: anticlockwise, moved so that the sand begins at 0 both ways, and how large it is. */
export function keptOutline(corners: readonly PointM[]): { outline: PointM[]; widthM: number; lengthM: number } {
  const round = outlineAreaM2(corners) < 0 ? [...corners].reverse() : [...corners];
  const [minXM, minYM] = [Math.min(...round.map(({ xM }) => xM)), Math.min(...round.map(({ yM }) => yM))];
  const outline = round.map(({ xM, yM }) => ({ xM: tidy(xM - minXM), yM: tidy(yM - minYM) }));
  return {
    outline,
    widthM: Math.max(...outline.map(({ xM }) => xM)),
    lengthM: Math.max(...outline.map(({ yM }) => yM)),
  };
}

/** To the millimetre: what is typed in feet comes out even. */
const tidy = (valueM: number) => Math.round(valueM * 1000) / 1000;

/** A wall as it is walked: so far, and then so much to the left. */
export type WalkedWall = { lengthM: number; turnLeftDeg: number };

/**
 * The corners of a sand whose walls were walked one after the other with the sand on the left, from the corner left of A to the
 * right; and how far off the walk ends from where it began.
 */
export function walkedOutline(walls: readonly WalkedWall[]): { corners: PointM[]; gapM: number } {
  const corners: PointM[] = [];
  let [at, headingRad] = [{ xM: 0, yM: 0 }, 0];
  for (const { lengthM, turnLeftDeg } of walls) {
    corners.push({ xM: tidy(at.xM), yM: tidy(at.yM) });
    at = { xM: at.xM + lengthM * Math.cos(headingRad), yM: at.yM + lengthM * Math.sin(headingRad) };
    headingRad += (turnLeftDeg * Math.PI) / 180;
  }
  return { corners, gapM: Math.hypot(at.xM, at.yM) };
}
