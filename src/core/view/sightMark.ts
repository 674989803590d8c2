import { isInsideArena, type Arena } from '../arena/arena';
import { roomAhead } from '../arena/roomAhead';
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
  const farM = roomAhead(arena, pose.at, pose.headingRad);
  if (farM - INSIDE_M < LEAST_BEHIND_M) return null;
  const at = pointAlong(pose.at, pose.headingRad, farM - INSIDE_M);
  return isInsideArena(arena, at) ? at : null;
}
