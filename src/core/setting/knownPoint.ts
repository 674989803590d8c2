import type { Arena, Wall } from '../arena/arena';
import { arenaLetters } from '../arena/arenaLetters';
import { arenaWalls } from '../arena/arenaWalls';
import { distanceM, type PointM } from '../geometry/pointM';
import type { PieceEnd } from './pieceEnds';

/** A point that can be found on the ground: of the arena, of a piece that is already set, or a peg. */
export type KnownPoint =
  | { kind: 'corner'; short: 'near' | 'far'; long: 'left' | 'right' }
  /** A corner of a sand that is no rectangle, counted from 1 as its outline has them. */
  | { kind: 'outline-corner'; corner: number }
  | { kind: 'letter'; letter: string }
  | { kind: 'end'; item: string; end: PieceEnd }
  | { kind: 'peg'; peg: string };

/** The points of the arena itself that a tape can be held to: its corners, and the letters on its walls. */
export function arenaPoints(arena: Arena): readonly { point: KnownPoint; at: PointM }[] {
  const before = byArena.get(arena);
  if (before) return before;
  const points = pointsOfArena(arena);
  byArena.set(arena, points);
  return points;
}

/** Every piece of a sheet asks for them, many times. An arena is never changed. */
const byArena = new WeakMap<Arena, { point: KnownPoint; at: PointM }[]>();

function pointsOfArena(arena: Arena): { point: KnownPoint; at: PointM }[] {
  const square = (['near', 'far'] as const).flatMap(short =>
    (['left', 'right'] as const).map(long => {
      const point: KnownPoint = { kind: 'corner', short, long };
      return { point, at: cornerAt(arena, short, long) };
    }),
  );
  // Of a sand that is no rectangle only the corners that are there.
  const { outline } = arena;
  const isSquare = (corner: PointM) => square.find(({ at }) => distanceM(at, corner) < SAME_M);
  const corners = outline
    ? outline.map((at, index) => isSquare(at) ?? { point: { kind: 'outline-corner' as const, corner: index + 1 }, at })
    : square;
  const letters = arenaLetters(arena)
    .filter(({ at }) => at.xM === 0 || at.yM === 0 || at.xM === arena.widthM || at.yM === arena.lengthM)
    .map(({ letter, at }) => ({ point: { kind: 'letter', letter } as const, at }));
  return [...corners, ...letters];
}

/** Corners this near are one. */
const SAME_M = 0.001;

/** Whether a wall really stands at a place along it: where a sand is no rectangle, a part of one may be missing. */
export function isWallThere(arena: Arena, wall: Wall, alongM: number): boolean {
  if (!arena.outline) return true;
  return arenaWalls(arena).some(([from, to]) => {
    const [a, b] = [fromWall(arena, wall, from), fromWall(arena, wall, to)];
    if (Math.abs(a.inM) > SAME_M || Math.abs(b.inM) > SAME_M) return false;
    return alongM >= Math.min(a.alongM, b.alongM) - SAME_M && alongM <= Math.max(a.alongM, b.alongM) + SAME_M;
  });
}

/** Whether a place can be measured from a wall: it lies over the sand, between points of that wall, where the wall stands. */
export function isBesideWall(arena: Arena, wall: Wall, at: PointM): boolean {
  const { inM, alongM } = fromWall(arena, wall, at);
  const points = pointsOnWall(arena, wall);
  const [first, last] = [points[0], points[points.length - 1]];
  if (!first || !last || !isWallThere(arena, wall, alongM)) return false;
  return inM >= 0 && alongM >= first.alongM && alongM <= last.alongM;
}

function cornerAt({ widthM, lengthM }: Arena, short: 'near' | 'far', long: 'left' | 'right'): PointM {
  return { xM: long === 'left' ? 0 : widthM, yM: short === 'near' ? 0 : lengthM };
}

/** How far a point lies in from a wall, and how far along it, metres; along is from its corner near A or on the left. */
export function fromWall(arena: Arena, wall: Wall, { xM, yM }: PointM): { inM: number; alongM: number } {
  switch (wall) {
    case 'left':
      return { inM: xM, alongM: yM };
    case 'right':
      return { inM: arena.widthM - xM, alongM: yM };
    case 'near':
      return { inM: yM, alongM: xM };
    case 'far':
      return { inM: arena.lengthM - yM, alongM: xM };
  }
}

/** The point so far in from a wall and so far along it: the other way round. */
export function atWall(arena: Arena, wall: Wall, { inM, alongM }: { inM: number; alongM: number }): PointM {
  switch (wall) {
    case 'left':
      return { xM: inM, yM: alongM };
    case 'right':
      return { xM: arena.widthM - inM, yM: alongM };
    case 'near':
      return { xM: alongM, yM: inM };
    case 'far':
      return { xM: alongM, yM: arena.lengthM - inM };
  }
}

/** The points on one wall, with how far along it they lie, in order. */
export function pointsOnWall(arena: Arena, wall: Wall): { point: KnownPoint; alongM: number }[] {
  return arenaPoints(arena)
    .map(({ point, at }) => ({ point, ...fromWall(arena, wall, at) }))
    .filter(({ inM }) => inM === 0)
    .map(({ point, alongM }) => ({ point, alongM }))
    .sort((a, b) => a.alongM - b.alongM);
}

/** What a known point is called: "K", "the K corner", "the near left corner", "the left end of 3", "the peg of the arc". */
export function knownPointName(
  arena: Arena,
  point: KnownPoint,
  numberOf: (item: string) => string = item => item,
): string {
  switch (point.kind) {
    case 'letter':
      return point.letter;
    case 'corner':
      return `the ${cornerName(arena, point.short, point.long)} corner`;
    case 'outline-corner':
      return `corner ${point.corner} of the sand`;
    case 'peg':
      return `peg ${point.peg}`;
    case 'end':
      return point.end === 'middle' ? numberOf(point.item) : `the ${END_WORDS[point.end]} of ${numberOf(point.item)}`;
  }
}

const END_WORDS: Record<Exclude<PieceEnd, 'middle'>, string> = {
  left: 'left end',
  right: 'right end',
  behind: 'back end',
  ahead: 'front end',
};

/** A corner is called after the letter on the long side that is nearest to it. */
function cornerName(arena: Arena, short: 'near' | 'far', long: 'left' | 'right'): string {
  const corner = cornerAt(arena, short, long);
  const beside = arenaLetters(arena)
    .filter(({ at }) => at.xM === corner.xM)
    .sort((a, b) => distanceM(a.at, corner) - distanceM(b.at, corner))[0];
  return beside?.letter ?? `${short} ${long}`;
}

/** Two known points are the same point. */
export function samePoint(a: KnownPoint, b: KnownPoint): boolean {
  return pointKey(a) === pointKey(b);
}

export function pointKey(point: KnownPoint): string {
  switch (point.kind) {
    case 'letter':
      return `letter ${point.letter}`;
    case 'corner':
      return `corner ${point.short} ${point.long}`;
    case 'outline-corner':
      return `outline ${point.corner}`;
    case 'peg':
      return `peg ${point.peg}`;
    case 'end':
      return `end ${point.end} ${point.item}`;
  }
}
