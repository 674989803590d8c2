import { isInsideArena, type Arena } from '../arena/arena';
import { barOf, toBarM } from './bar';
import { footprintCorners } from './footprint';
import type { Item } from './item';

/** What rounding may push over a wall. */
const ROUNDING_M = 1e-6;

/** The items that do not lie on a sand whole, or stand in what stands there. */
export function itemsOutside(arena: Arena, items: readonly Item[]): Item[] {
  return items.filter(
    item =>
      !footprintCorners(item).every(corner => isInsideArena(arena, corner, -ROUNDING_M)) ||
      (arena.standing ?? []).some(({ at, radiusM }) => toBarM(at, barOf(item)) < radiusM - ROUNDING_M),
  );
}
