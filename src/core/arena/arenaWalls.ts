import type { PointM } from '../geometry/pointM';
import type { Arena } from './arena';

/** The walls of an arena one after the other, round it anticlockwise: each from corner to corner. */
export function arenaWalls(arena: Arena): [PointM, PointM][] {
  const corners = arenaCorners(arena);
  return corners.map((corner, index) => [corner, corners[(index + 1) % corners.length]!]);
}

/** The corners of an arena, anticlockwise from the near left one. */
export function arenaCorners({ widthM, lengthM }: Arena): PointM[] {
  return [
    { xM: 0, yM: 0 },
    { xM: widthM, yM: 0 },
    { xM: widthM, yM: lengthM },
    { xM: 0, yM: lengthM },
  ];
}
