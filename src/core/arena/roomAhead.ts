import type { PointM } from '../geometry/pointM';
import { isInsideArena, type Arena } from './arena';

/**
 * How far one can go straight on before the wall.
 * @param from - a point on the sand
 * @returns metres; 0 for a point off the sand
 */
export function roomAhead(arena: Arena, from: PointM, headingRad: number): number {
  if (!isInsideArena(arena, from)) return 0;
  const alongX = roomOnAxis(from.xM, Math.cos(headingRad), arena.widthM);
  const alongY = roomOnAxis(from.yM, Math.sin(headingRad), arena.lengthM);
  return Math.min(alongX, alongY);
}

/** Slopes this small would put the wall farther off than any arena is long. */
const PARALLEL = 1e-9;

function roomOnAxis(at: number, slope: number, sideM: number): number {
  if (Math.abs(slope) < PARALLEL) return Infinity;
  return (slope > 0 ? sideM - at : -at) / slope;
}
