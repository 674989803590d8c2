import { pointAlong, type PointM } from '../geometry/pointM';
import { above, type Spot } from './spot';

/** What a face looks like, said by name: how it is coloured is the drawing's. */
export const TONES = ['rail', 'band', 'stand', 'filler', 'panel', 'cone', 'block', 'flag', 'wall', 'thing'] as const;
export type Tone = (typeof TONES)[number];

/** A flat face of something that stands on the sand: its corners in order. */
export type Face = { corners: Spot[]; tone: Tone };

/** A face and how much light falls on it: 0 in the dark to 1 in the light. */
export type LitFace = Face & { light: number };

/** Something that stands on the sand: its faces, and what it is drawn for. */
export type Solid = { of: string | null; faces: LitFace[] };

/**
 * An upright box: `deepM` along its heading, `wideM` across it, from `fromM` to `toM` above the sand.
 * @returns its top and four sides; nobody sees it from below
 */
export function boxFaces(
  at: PointM,
  headingRad: number,
  { deepM, wideM, fromM, toM }: { deepM: number; wideM: number; fromM: number; toM: number },
  tone: Tone,
): Face[] {
  const corner = (ahead: number, left: number) =>
    pointAlong(pointAlong(at, headingRad, (ahead * deepM) / 2), headingRad + Math.PI / 2, (left * wideM) / 2);
  const round = [corner(1, 1), corner(-1, 1), corner(-1, -1), corner(1, -1)];
  const sides = round.map((from, index): Face => {
    const to = round[(index + 1) % round.length]!;
    return { corners: [above(from, fromM), above(to, fromM), above(to, toM), above(from, toM)], tone };
  });
  return [...sides, { corners: round.map(point => above(point, toM)), tone }];
}

/** A rail from one spot to another, so thick, in bands that take turns: it is seen from its side and from above. */
export function railFaces(from: Spot, to: Spot, thickM: number, bands: number): Face[] {
  const headingRad = Math.atan2(to.yM - from.yM, to.xM - from.xM);
  const on = (share: number): Spot => ({
    xM: from.xM + (to.xM - from.xM) * share,
    yM: from.yM + (to.yM - from.yM) * share,
    zM: from.zM + (to.zM - from.zM) * share,
  });
  return Array.from({ length: bands }, (_, band) => {
    const [a, b] = [on(band / bands), on((band + 1) / bands)];
    return alongFaces(a, b, headingRad, thickM, band % 2 === 0 ? 'rail' : 'band');
  }).flat();
}

function alongFaces(a: Spot, b: Spot, headingRad: number, thickM: number, tone: Tone): Face[] {
  const half = thickM / 2;
  const moved = (spot: Spot, leftM: number, upM: number) =>
    above(pointAlong(spot, headingRad + Math.PI / 2, leftM), spot.zM + upM);
  const strip = (leftA: number, upA: number, leftB: number, upB: number): Face => ({
    corners: [moved(a, leftA, upA), moved(b, leftA, upA), moved(b, leftB, upB), moved(a, leftB, upB)],
    tone,
  });
  return [strip(half, -half, half, half), strip(-half, -half, -half, half), strip(half, half, -half, half)];
}

/** A face with the light on it, from above and a little from one side: sides of a box are told apart by it. */
export function inItsLight(face: Face): LitFace {
  return { ...face, light: lightOn(face) };
}

function lightOn({ corners: [a, b, c] }: Face): number {
  if (!a || !b || !c) return 1;
  const u = [b.xM - a.xM, b.yM - a.yM, b.zM - a.zM] as const;
  const v = [c.xM - b.xM, c.yM - b.yM, c.zM - b.zM] as const;
  const normal = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]] as const;
  const long = Math.hypot(...normal);
  if (long === 0) return 1;
  return 0.55 + 0.45 * Math.abs((normal[0] * SUN[0] + normal[1] * SUN[1] + normal[2] * SUN[2]) / long);
}

const SUN = [0.36, 0.48, 0.8] as const;
