import type { Arena } from '../arena/arena';
import { distanceM, pointAlong, type PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import { arenaPoints, type KnownPoint } from './knownPoint';

/** The point of the arena that a fence is ridden towards from its front, as one would point to it; null for the rest. */
export function riddenTowards(arena: Arena, item: Item): KnownPoint | null {
  if (item.kind !== 'fence') return null;
  const wall = wallAhead(arena, item.at, item.headingRad);
  const points = arenaPoints(arena);
  const nearest = points.reduce((best, candidate) =>
    distanceM(candidate.at, wall) < distanceM(best.at, wall) - 1e-9 ? candidate : best,
  );
  return nearest.point;
}

/** Where one would meet the wall, riding straight on. */
function wallAhead({ widthM, lengthM }: Arena, at: PointM, headingRad: number): PointM {
  const [cos, sin] = [Math.cos(headingRad), Math.sin(headingRad)];
  const toX = Math.abs(cos) < 1e-9 ? Infinity : ((cos > 0 ? widthM : 0) - at.xM) / cos;
  const toY = Math.abs(sin) < 1e-9 ? Infinity : ((sin > 0 ? lengthM : 0) - at.yM) / sin;
  return pointAlong(at, headingRad, Math.max(0, Math.min(toX, toY)));
}
