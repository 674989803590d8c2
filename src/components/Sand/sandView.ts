import type { Arena, PointM } from '@/core';

/** A point on the drawing, in metres of paper: x to the right, y down. */
export type PaperPoint = { x: number; y: number };

/**
 * How the sand lies on the page: "along" has A at the left and C at the right, as the ribbon runs; "up" has A at the
 * bottom, as one stands at A. Both are turned, never mirrored.
 */
export type SandOrientation = 'along' | 'up';

export type SandView = {
  orientation: SandOrientation;
  widthM: number;
  heightM: number;
  toPaper: (point: PointM) => PaperPoint;
  toSand: (point: PaperPoint) => PointM;
};

export function sandView(arena: Arena, orientation: SandOrientation): SandView {
  if (orientation === 'along')
    return {
      orientation,
      widthM: arena.lengthM,
      heightM: arena.widthM,
      toPaper: ({ xM, yM }) => ({ x: yM, y: xM }),
      toSand: ({ x, y }) => ({ xM: y, yM: x }),
    };
  return {
    orientation,
    widthM: arena.widthM,
    heightM: arena.lengthM,
    toPaper: ({ xM, yM }) => ({ x: xM, y: arena.lengthM - yM }),
    toSand: ({ x, y }) => ({ xM: x, yM: arena.lengthM - y }),
  };
}
