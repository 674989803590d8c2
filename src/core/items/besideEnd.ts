import type { Arena } from '../arena/arena';

import { pointAlong, type PointM } from '../geometry/pointM';
import type { RiddenItem } from './item';

/** A stand takes so much beyond the rails, metres. */
const STAND_M = 0.5;

/**
 * A place beyond an end of what is ridden over, where nothing of it lies: for its number. The right end, as it is ridden; the left
 * one where that place would be outside the arena.
 * @param byM - from the end and its stand, metres
 */
export function besideEnd(
  item: RiddenItem,
  byM: number,
  { widthM, lengthM }: Pick<Arena, 'widthM' | 'lengthM'>,
): PointM {
  const endM = item.kind === 'fence' ? item.widthM / 2 + STAND_M : item.lengthM / 2;
  const offM = endM + byM;
  const at = (side: 1 | -1) => pointAlong(item.at, item.headingRad + (side * Math.PI) / 2, offM);
  const isInside = ({ xM, yM }: PointM) => xM >= byM && yM >= byM && xM <= widthM - byM && yM <= lengthM - byM;
  const right = at(-1);
  return isInside(right) || !isInside(at(1)) ? right : at(1);
}
