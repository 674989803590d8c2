import { nearestBetween } from '../geometry/nearestBetween';
import { distanceM, pointAlong, type PointM } from '../geometry/pointM';
import type { Item } from './item';
import { STAND_DEPTH_M } from './footprint';

/** What of an item is in the way: a bar on the ground or above it, from end to end, or a point. */
export type Bar = { from: PointM; to: PointM };

/** A pole or rail from end to end, a fence from stand to stand, a cone or block where it is. */
export function barOf(item: Item): Bar {
  switch (item.kind) {
    case 'pole':
      return across(item, item.lengthM / 2);
    case 'fence':
      return across(item, item.widthM / 2 + STAND_DEPTH_M);
    case 'guide':
      return {
        from: pointAlong(item.at, item.headingRad, -item.lengthM / 2),
        to: pointAlong(item.at, item.headingRad, item.lengthM / 2),
      };
    case 'cone':
    case 'block':
    case 'marker':
      return { from: item.at, to: item.at };
  }
}

function across({ at, headingRad }: { at: PointM; headingRad: number }, halfM: number): Bar {
  return {
    from: pointAlong(at, headingRad + Math.PI / 2, halfM),
    to: pointAlong(at, headingRad - Math.PI / 2, halfM),
  };
}

/** How far a point is from the nearest place of a bar, metres. */
export function toBarM(point: PointM, { from, to }: Bar): number {
  return distanceM(point, nearestBetween(from, to, point));
}
