import type { PaperPoint } from './sandView';

/** Something written or drawn beside what it is of. Sizes and places in metres of paper, places by their middle. */
export type LabelWish = {
  widthM: number;
  heightM: number;
  /** Where it may lie, the best first. */
  places: readonly PaperPoint[];
};

/** What labels keep off. */
export type Obstacles = {
  /** Things seen from above, by their corners, in order round them. */
  shapes: readonly (readonly PaperPoint[])[];
  /** Lines, by points no farther from each other than `everyM`. */
  points: readonly PaperPoint[];
  everyM: number;
};

type Box = { left: number; right: number; top: number; bottom: number };

/**
 * Finds a place for each label, in their order, on which it lies over no other label, no shape and no line.
 * @returns for each wish the first of its places that is free, or null where none is
 */
export function placeLabels(wishes: readonly LabelWish[], obstacles: Obstacles): (PaperPoint | null)[] {
  const lines = pointGrid(obstacles.points);
  const shapes = obstacles.shapes.map(corners => ({ corners, box: boxOfCorners(corners) }));
  const taken: Box[] = [];
  const lineRoomM = obstacles.everyM / 2;
  const isFree = (box: Box) =>
    !taken.some(other => isOver(box, other)) &&
    !shapes.some(shape => isOver(box, shape.box) && isOverShape(box, shape.corners)) &&
    !lines.hasIn(grown(box, lineRoomM));
  return wishes.map(({ widthM, heightM, places }) => {
    const place = places.find(at => isFree(boxAt(at, widthM, heightM)));
    if (!place) return null;
    taken.push(boxAt(place, widthM, heightM));
    return place;
  });
}

const boxAt = ({ x, y }: PaperPoint, widthM: number, heightM: number): Box => ({
  ...{ left: x - widthM / 2, right: x + widthM / 2 },
  ...{ top: y - heightM / 2, bottom: y + heightM / 2 },
});

const grown = ({ left, right, top, bottom }: Box, byM: number): Box => ({
  ...{ left: left - byM, right: right + byM, top: top - byM, bottom: bottom + byM },
});

function boxOfCorners(corners: readonly PaperPoint[]): Box {
  const [xs, ys] = [corners.map(({ x }) => x), corners.map(({ y }) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
}

const isOver = (a: Box, b: Box) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** Whether a box lies over a convex shape: no side of the shape parts them (separating axes). */
function isOverShape(box: Box, corners: readonly PaperPoint[]): boolean {
  const ofBox: PaperPoint[] = [
    { x: box.left, y: box.top },
    { x: box.right, y: box.top },
    { x: box.right, y: box.bottom },
    { x: box.left, y: box.bottom },
  ];
  return corners.every((from, index) => {
    const to = corners[(index + 1) % corners.length]!;
    const across = ({ x, y }: PaperPoint) => (x - from.x) * (to.y - from.y) - (y - from.y) * (to.x - from.x);
    const [ofShape, boxes] = [corners.map(across), ofBox.map(across)];
    return Math.min(...boxes) < Math.max(...ofShape) && Math.max(...boxes) > Math.min(...ofShape);
  });
}

const CELL_M = 1;
const WIDE = 4096;

/** Points by the square metre that they lie in, so that only those near a box are looked at. */
function pointGrid(points: readonly PaperPoint[]) {
  const cells = new Map<number, PaperPoint[]>();
  const cellOf = (x: number, y: number) => Math.floor(y / CELL_M) * WIDE + Math.floor(x / CELL_M);
  for (const point of points) {
    const cell = cellOf(point.x, point.y);
    const own = cells.get(cell);
    if (own) own.push(point);
    else cells.set(cell, [point]);
  }
  const isIn = ({ left, right, top, bottom }: Box, { x, y }: PaperPoint) =>
    x > left && x < right && y > top && y < bottom;
  return {
    hasIn: (box: Box): boolean => {
      for (let y = Math.floor(box.top / CELL_M); y <= Math.floor(box.bottom / CELL_M); y += 1)
        for (let x = Math.floor(box.left / CELL_M); x <= Math.floor(box.right / CELL_M); x += 1)
          if (cells.get(y * WIDE + x)?.some(point => isIn(box, point))) return true;
      return false;
    },
  };
}
