import type { Pose } from '@/core';
import { drawn, type SandView } from './sandView';

/**
 * A frame on the paper for something that stands on the sand: x the way it is ridden, y to the right of it. Shapes are
 * written in places of the paper itself: a drawing in which every piece has a transform of its own is slow to draw anew.
 */
export type PaperFrame = {
  /** A place of the frame as a place of the paper: "12.5 3". */
  at: (x: number, y: number) => string;
  point: (x: number, y: number) => { x: number; y: number };
};

export function paperFrame(view: SandView, { at, headingRad }: Pose): PaperFrame {
  const [cos, sin] = [Math.cos(headingRad), Math.sin(headingRad)];
  const point = (x: number, y: number) =>
    view.toPaper({ xM: at.xM + x * cos + y * sin, yM: at.yM + x * sin - y * cos });
  return {
    point,
    at: (x, y) => {
      const place = point(x, y);
      return `${drawn(place.x)} ${drawn(place.y)}`;
    },
  };
}

/** A closed shape through places of a frame. */
export function closedPath({ at }: PaperFrame, places: readonly (readonly [number, number])[]): string {
  return `M${places.map(([x, y]) => at(x, y)).join('L')}Z`;
}

/** An upright rectangle of a frame about a place of it. */
export function boxPath(frame: PaperFrame, x: number, y: number, lengthM: number, widthM: number): string {
  const [a, b] = [lengthM / 2, widthM / 2];
  return closedPath(frame, [
    [x - a, y - b],
    [x + a, y - b],
    [x + a, y + b],
    [x - a, y + b],
  ]);
}
