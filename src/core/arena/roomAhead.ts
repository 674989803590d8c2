import type { PointM } from '../geometry/pointM';
import { isInsideArena, type Arena } from './arena';
import { arenaWalls } from './arenaWalls';

/**
 * How far one can go straight on before the wall, or before something that stands there.
 * @param from - a point on the sand
 * @returns metres; 0 for a point off the sand
 */
export function roomAhead(arena: Arena, from: PointM, headingRad: number): number {
  if (!isInsideArena(arena, from)) return 0;
  const wallM = Math.min(...arenaWalls(arena).map(wall => aheadToWallM(from, headingRad, wall)));
  return Math.min(wallM, aheadToThingM(arena, from, headingRad));
}

/** How far ahead a line meets a wall; Infinity where it does not. */
export function aheadToWallM(at: PointM, headingRad: number, [from, to]: readonly [PointM, PointM]): number {
  const [cos, sin] = [Math.cos(headingRad), Math.sin(headingRad)];
  const [wx, wy] = [to.xM - from.xM, to.yM - from.yM];
  const across = cos * wy - sin * wx;
  if (Math.abs(across) < PARALLEL) return Infinity;
  const [dx, dy] = [from.xM - at.xM, from.yM - at.yM];
  const aheadM = (dx * wy - dy * wx) / across;
  const share = (dx * sin - dy * cos) / across;
  return aheadM >= 0 && share >= -PARALLEL && share <= 1 + PARALLEL ? aheadM : Infinity;
}

/** Slopes this small would put the wall farther off than any arena is long. */
const PARALLEL = 1e-9;

function aheadToThingM({ standing = [] }: Arena, from: PointM, headingRad: number): number {
  const [cos, sin] = [Math.cos(headingRad), Math.sin(headingRad)];
  const meets = standing.flatMap(({ at, radiusM }) => {
    const [dx, dy] = [at.xM - from.xM, at.yM - from.yM];
    const aheadM = dx * cos + dy * sin;
    const asideM = Math.abs(dx * sin - dy * cos);
    return aheadM > 0 && asideM < radiusM ? [aheadM - Math.sqrt(radiusM * radiusM - asideM * asideM)] : [];
  });
  return Math.min(Infinity, ...meets);
}
