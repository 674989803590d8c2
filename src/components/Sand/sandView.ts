import { pointAlong, type Arena, type PointM } from '@/core';

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

const PER_MICRON = 1e6;

/**
 * To the micron: the server and the browser may differ in the last digit of a sine, and the drawing must be the same
 * on both.
 */
export function drawn(valueM: number): number {
  return Math.round(valueM * PER_MICRON) / PER_MICRON + 0;
}

export function sandView(arena: Arena, orientation: SandOrientation): SandView {
  if (orientation === 'along')
    return {
      orientation,
      widthM: arena.lengthM,
      heightM: arena.widthM,
      toPaper: ({ xM, yM }) => ({ x: drawn(yM), y: drawn(xM) }),
      toSand: ({ x, y }) => ({ xM: y, yM: x }),
    };
  return {
    orientation,
    widthM: arena.widthM,
    heightM: arena.lengthM,
    toPaper: ({ xM, yM }) => ({ x: drawn(xM), y: drawn(arena.lengthM - yM) }),
    toSand: ({ x, y }) => ({ xM: x, yM: arena.lengthM - y }),
  };
}

/** The direction of a heading on paper, degrees clockwise from "to the right". */
export function paperDegrees(view: SandView, headingRad: number): number {
  const origin = view.toPaper({ xM: 0, yM: 0 });
  const ahead = view.toPaper(pointAlong({ xM: 0, yM: 0 }, headingRad, 1));
  return drawn((Math.atan2(ahead.y - origin.y, ahead.x - origin.x) * 180) / Math.PI);
}
