import { arenaWalls } from '../arena/arenaWalls';
import { isInsideArena, type Arena } from '../arena/arena';
import { pointAlong, type PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';

/** A mark to look at stands so far inside the wall, metres. */
const INSIDE_M = 0.3;
/** Nearer than this behind a fence it would stand in the landing. */
const LEAST_BEHIND_M = 4;

/**
 * Where a mark to look at stands for a fence: on its line, behind it, at the wall.
 * @param pose - over the fence, the way it is ridden
 * @returns null where the wall is too near behind it
 */
export function sightMarkAt(arena: Arena, pose: Pose): PointM | null {
  const farM = Math.min(...arenaWalls(arena).map(wall => meetM(pose, wall)));
  if (!Number.isFinite(farM) || farM - INSIDE_M < LEAST_BEHIND_M) return null;
  const at = pointAlong(pose.at, pose.headingRad, farM - INSIDE_M);
  return isInsideArena(arena, at) ? at : null;
}

/** How far ahead a line meets a wall; Infinity where it does not. */
function meetM({ at, headingRad }: Pose, [from, to]: readonly [PointM, PointM]): number {
  const [cos, sin] = [Math.cos(headingRad), Math.sin(headingRad)];
  const [wx, wy] = [to.xM - from.xM, to.yM - from.yM];
  const across = cos * wy - sin * wx;
  if (Math.abs(across) < 1e-9) return Infinity;
  const [dx, dy] = [from.xM - at.xM, from.yM - at.yM];
  const aheadM = (dx * wy - dy * wx) / across;
  const share = (dx * sin - dy * cos) / across;
  return aheadM > 0 && share >= -1e-9 && share <= 1 + 1e-9 ? aheadM : Infinity;
}
