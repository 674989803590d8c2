import { drawn, type PaperPoint, type SandOrientation, type SandView } from '@/components/Sand/sandView';
import type { PaperBox } from '@/components/Sand/Sand';
import { poseAt, type Arena, type Chain, type PointM } from '@/core';

/** So much sand is shown round what is ridden, metres. */
const ROUND_M = 3.5;
const SAMPLE_M = 2;

/** What of the sand is shown to see all of what is ridden: its places and its ways. */
export function pointsShown(chains: readonly Chain[], places: readonly PointM[]): PointM[] {
  const along = chains.flatMap(chain => {
    const count = Math.max(1, Math.ceil(chain.lengthM / SAMPLE_M));
    return Array.from({ length: count + 1 }, (_, i) => poseAt(chain, (i / count) * chain.lengthM).at);
  });
  return [...along, ...places];
}

/** Which way round the sand fills a room of this shape better. */
export function bestOrientation(points: readonly PointM[], room: { width: number; height: number }): SandOrientation {
  const [acrossM, alongM] = extents(points);
  const scale = (w: number, h: number) => Math.min(room.width / (w + 2 * ROUND_M), room.height / (h + 2 * ROUND_M));
  return scale(alongM, acrossM) >= scale(acrossM, alongM) ? 'along' : 'up';
}

function extents(points: readonly PointM[]): [number, number] {
  const xs = points.map(({ xM }) => xM);
  const ys = points.map(({ yM }) => yM);
  return points.length === 0 ? [0, 0] : [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
}

/** The part of the paper that shows these points, of the shape of the room: nothing beside it is left empty. */
export function croppedBox(
  view: SandView,
  arena: Arena,
  points: readonly PointM[],
  room: { width: number; height: number },
): PaperBox {
  const shown = points.length === 0 ? corners(arena) : points;
  const paper = shown.map(view.toPaper);
  const [x0, x1] = range(
    paper.map(({ x }) => x),
    view.widthM,
  );
  const [y0, y1] = range(
    paper.map(({ y }) => y),
    view.heightM,
  );
  const shape = room.width / room.height;
  const width = Math.max(x1 - x0, (y1 - y0) * shape);
  const height = width / shape;
  return {
    x: drawn((x0 + x1 - width) / 2),
    y: drawn((y0 + y1 - height) / 2),
    width: drawn(width),
    height: drawn(height),
  };
}

const corners = ({ widthM, lengthM }: Arena): PointM[] => [
  { xM: 0, yM: 0 },
  { xM: widthM, yM: lengthM },
];

/** From the least to the greatest with room round it, not beyond the wall and its letters. */
function range(values: readonly number[], sizeM: number): [number, number] {
  const least = Math.max(Math.min(...values) - ROUND_M, -2);
  const most = Math.min(Math.max(...values) + ROUND_M, sizeM + 2);
  return [least, Math.max(most, least + 1)];
}

/** A point of the paper in pixels of the room. */
export function toPixels(box: PaperBox, room: { width: number }, { x, y }: PaperPoint): PaperPoint {
  const perM = room.width / box.width;
  return { x: drawn((x - box.x) * perM), y: drawn((y - box.y) * perM) };
}

/** The same the other way: what paper lies under a tap. */
export function fromPixels(box: PaperBox, room: { width: number }, { x, y }: PaperPoint): PaperPoint {
  const perM = room.width / box.width;
  return { x: box.x + x / perM, y: box.y + y / perM };
}

/** So near to the edge of the room a mark is still seen, pixels. */
const EDGE_PX = 46;

export const isInRoom = ({ x, y }: PaperPoint, { width, height }: { width: number; height: number }) =>
  x >= 0 && y >= 0 && x <= width && y <= height;

/** A place in the room, or the edge of the room that is nearest to it. */
export function atEdge({ x, y }: PaperPoint, { width, height }: { width: number; height: number }): PaperPoint {
  const within = (value: number, size: number) => Math.min(Math.max(value, EDGE_PX), Math.max(EDGE_PX, size - EDGE_PX));
  return { x: drawn(within(x, width)), y: drawn(within(y, height)) };
}

/** Pixels between two keys. */
const GAP = 4;

/** How large keys can be that all have room beside each other: as large as a gloved thumb wants, or what the room leaves. */
export function keySize(count: number, room: { width: number; height: number }): number {
  const holds = (size: number) => cells(room.width, size) * cells(room.height, size);
  return [60, 56, 52, 48, 44].find(size => count <= holds(size)) ?? 44;
}

type Room = { width: number; height: number };

/**
 * Where keys of a size lie that belong to places: beside them, so that what they are of is still seen, clear of each other and,
 * where it can be, of the way. The same for the same places.
 * @param way - points of the way that is ridden
 */
export function keyPlaces(
  places: readonly PaperPoint[],
  size: number,
  room: Room,
  way: readonly PaperPoint[] = [],
): PaperPoint[] {
  const keys: PaperPoint[] = [];
  for (const place of places) {
    const cost = (at: PaperPoint) =>
      100 * keys.filter(key => touch(key, at, size)).length +
      8 * places.filter(other => isUnder(other, at, size)).length +
      way.filter(point => isUnder(point, at, size)).length +
      Math.hypot(at.x - place.x, at.y - place.y) / size;
    const tried = besides(place, size).map(at => inRoom(at, size, room));
    keys.push(tried.reduce((best, at) => (cost(at) < cost(best) ? at : best)));
  }
  const lie = keys.some((a, i) => keys.slice(i + 1).some(b => touch(a, b, size)));
  return (lie ? onGrid(places, size, room) : keys).map(({ x, y }) => ({ x: drawn(x), y: drawn(y) }));
}

const DIRECTIONS = 12;
/** So far from its place a key is tried, as shares of its size. */
const AWAY = [0.75, 1.1, 1.5, 2, 2.6];

/** Round a place, the nearest first; on it last. */
function besides({ x, y }: PaperPoint, size: number): PaperPoint[] {
  const round = AWAY.flatMap(away =>
    Array.from({ length: DIRECTIONS }, (_, i) => {
      const turn = (2 * Math.PI * i) / DIRECTIONS;
      return { x: x + away * size * Math.cos(turn), y: y + away * size * Math.sin(turn) };
    }),
  );
  return [...round, { x, y }];
}

const isUnder = (point: PaperPoint, key: PaperPoint, size: number) =>
  Math.max(Math.abs(point.x - key.x), Math.abs(point.y - key.y)) < size / 2 + 2;
const cells = (lengthPx: number, size: number) => Math.max(1, Math.floor((lengthPx + GAP) / (size + GAP)));
const touch = (a: PaperPoint, b: PaperPoint, size: number) => Math.max(Math.abs(a.x - b.x), Math.abs(a.y - b.y)) < size;

/** Where pushing finds no room for all: each takes the nearest free cell of a grid, those first that are nearest to one. */
function onGrid(
  places: readonly PaperPoint[],
  size: number,
  { width, height }: { width: number; height: number },
): PaperPoint[] {
  const [columns, rows] = [cells(width, size), cells(height, size)];
  const centre = (i: number, count: number, lengthPx: number) =>
    count === 1 ? lengthPx / 2 : size / 2 + (i * (lengthPx - size)) / (count - 1);
  const grid = Array.from({ length: columns * rows }, (_, i) => ({
    x: centre(i % columns, columns, width),
    y: centre(Math.floor(i / columns), rows, height),
  }));
  const wishes = places
    .flatMap((place, key) =>
      grid.map((cell, at) => ({ key, at, awayPx: Math.hypot(cell.x - place.x, cell.y - place.y) })),
    )
    .sort((a, b) => a.awayPx - b.awayPx);
  const taken = new Map<number, number>();
  const found = new Map<number, number>();
  for (const { key, at } of wishes) {
    // More keys than cells share the last.
    if (found.has(key) || (taken.has(at) && taken.size < grid.length)) continue;
    found.set(key, at);
    taken.set(at, key);
  }
  return places.map((_, key) => grid[found.get(key)!]!);
}

const inRoom = ({ x, y }: PaperPoint, size: number, { width, height }: Room) => ({
  x: Math.min(Math.max(x, size / 2), Math.max(size / 2, width - size / 2)),
  y: Math.min(Math.max(y, size / 2), Math.max(size / 2, height - size / 2)),
});
