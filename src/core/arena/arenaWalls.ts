import type { PointM } from '../geometry/pointM';
import type { Arena } from './arena';
import { outlineSides } from './outline';

/** The walls of an arena one after the other, round it anticlockwise: each from corner to corner. */
export function arenaWalls(arena: Arena): [PointM, PointM][] {
  return outlineSides(arenaCorners(arena));
}

/** The corners of an arena, anticlockwise: of its outline, or of its rectangle from the near left one. */
export function arenaCorners({ widthM, lengthM, outline }: Arena): readonly PointM[] {
  return (
    outline ?? [
      { xM: 0, yM: 0 },
      { xM: widthM, yM: 0 },
      { xM: widthM, yM: lengthM },
      { xM: 0, yM: lengthM },
    ]
  );
}
