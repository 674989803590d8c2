import { arenaLetters } from '../arena/arenaLetters';
import { toWallM, type Arena } from '../arena/arena';
import { arenaWalls } from '../arena/arenaWalls';
import { pointAlong, distanceM, type PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import { clippedAhead, NEAREST_M, seenFrom, shareOf, type Camera, type Seen, type PictureShare } from './camera';
import { inItsLight, type Face, type LitFace, type Tone } from './solid';
import { solidOf } from './solidOf';
import { thingFaces } from './thingSolid';
import { above, type Spot } from './spot';

/** What a picture is drawn of, in the order it is painted: what is farther is painted over by what is nearer. */
export type Drawn =
  | {
      kind: 'face';
      points: PictureShare[];
      tone: Tone;
      /** 0 in the dark to 1 in the light. */ light: number;
      of: string | null;
    }
  | { kind: 'line'; points: [PictureShare, PictureShare] }
  | { kind: 'word'; at: PictureShare; /** Of the picture’s height. */ size: number; words: string };

/** The sand from an eye above it. */
export type EyePicture = {
  /** Where the level of the eye lies, a share of the height: sand under it, sky or roof over it. */
  horizon: number;
  drawn: Drawn[];
};

/** What is looked at. */
export type Scene = {
  arena: Arena;
  items: readonly Item[];
  /** Numbers and the like, over what they belong to. */ words?: readonly SceneWord[];
};
export type SceneWord = { words: string; at: Spot };

const WALL_HIGH_M = 0.9;
const WALL_PIECE_M = 2;
const LETTER_HIGH_M = 1.35;
const LETTER_SIZE_M = 0.5;
const GRID_M = 5;
/** Smaller words are dust. */
const LEAST_WORD = 0.012;

/** Everything an eye sees of a scene, from far to near. Pure: metres in, shares of the picture out. */
export function eyePicture(camera: Camera, scene: Scene): EyePicture {
  const solid = [
    ...scene.items.flatMap(item => solidOf(item).faces.map(face => ({ face, of: item.id as string | null }))),
    ...arenaSolid(scene.arena).map(face => ({ face, of: null })),
  ];
  const faces = solid.flatMap(({ face, of }) => {
    const corners = face.corners.map(corner => seenFrom(camera, corner));
    const clipped = clippedAhead(corners);
    if (clipped.length < 3) return [];
    const points = clipped.map(corner => shareOf(camera, corner));
    if (isBeside(points)) return [];
    const drawn: Drawn = { kind: 'face', points, tone: face.tone, light: face.light, of };
    return [{ farM: farM(corners), drawn }];
  });
  const words = wordsOf(scene).flatMap(({ words, at }) => {
    const seen = seenFrom(camera, at);
    if (seen.aheadM < NEAREST_M) return [];
    const share = shareOf(camera, seen);
    const size = (LETTER_SIZE_M * camera.aspect) / (2 * Math.tan(camera.wideRad / 2) * seen.aheadM);
    if (size < LEAST_WORD || isBeside([share])) return [];
    return [
      {
        farM: farM([seen]) - LETTER_SIZE_M,
        drawn: { kind: 'word', at: share, size: Math.min(size, 0.12), words } satisfies Drawn,
      },
    ];
  });
  const near = [...faces, ...words].sort((a, b) => b.farM - a.farM).map(({ drawn }) => drawn);
  return { horizon: horizonOf(camera), drawn: [...gridLines(camera, scene.arena), ...near] };
}

/** A level look has the level of the eye at half the height. */
function horizonOf({ downRad, wideRad, aspect }: Camera): number {
  return 0.5 - (Math.tan(downRad) * aspect) / (2 * Math.tan(wideRad / 2));
}

function wordsOf({ arena, words = [] }: Scene): SceneWord[] {
  return [
    ...arenaLetters(arena)
      .filter(({ at }) => isAtAWall(arena, at))
      .map(({ letter, at }) => ({ words: letter, at: above(at, LETTER_HIGH_M) })),
    ...words,
  ];
}

/** Letters in the middle of the sand are nowhere to be seen. */
const isAtAWall = (arena: Arena, at: PointM) => toWallM(arena, at) <= AT_WALL_M;
const AT_WALL_M = 0.2;

/** The walls of a sand and what stands on it: reckoned once for each. */
function arenaSolid(arena: Arena): LitFace[] {
  const before = knownArenas.get(arena);
  if (before) return before;
  const faces = [...(arena.standing ?? []).flatMap(thingFaces), ...arenaWalls(arena).flatMap(wallFaces)].map(
    inItsLight,
  );
  knownArenas.set(arena, faces);
  return faces;
}

const knownArenas = new WeakMap<Arena, LitFace[]>();

/** A wall in pieces, so that what stands before a part of it is told from what stands behind. */
function wallFaces([from, to]: readonly [PointM, PointM]): Face[] {
  const lengthM = distanceM(from, to);
  const headingRad = Math.atan2(to.yM - from.yM, to.xM - from.xM);
  const pieces = Math.max(1, Math.ceil(lengthM / WALL_PIECE_M));
  return Array.from({ length: pieces }, (_, piece) => {
    const [a, b] = [piece, piece + 1].map(at => pointAlong(from, headingRad, (at * lengthM) / pieces));
    return {
      corners: [above(a!, 0), above(b!, 0), above(b!, WALL_HIGH_M), above(a!, WALL_HIGH_M)],
      tone: 'wall',
    };
  });
}

/** Lines on the sand every five metres: how far off something is, is told by them. */
function gridLines(camera: Camera, { widthM, lengthM }: Arena): Drawn[] {
  const along = (sideM: number) => Array.from({ length: Math.ceil(sideM / GRID_M) - 1 }, (_, i) => (i + 1) * GRID_M);
  const lines: [PointM, PointM][] = [
    ...along(widthM).map((xM): [PointM, PointM] => [
      { xM, yM: 0 },
      { xM, yM: lengthM },
    ]),
    ...along(lengthM).map((yM): [PointM, PointM] => [
      { xM: 0, yM },
      { xM: widthM, yM },
    ]),
  ];
  return lines.flatMap(([from, to]): Drawn[] => {
    const ends = clippedAhead([from, to].map(point => seenFrom(camera, above(point, 0))));
    if (ends.length < 2) return [];
    const [a, b] = [shareOf(camera, ends[0]!), shareOf(camera, ends[1]!)];
    return isBeside([a, b]) ? [] : [{ kind: 'line', points: [a, b] }];
  });
}

const farM = (corners: readonly Seen[]) =>
  corners.reduce((sum, { aheadM, rightM, upM }) => sum + Math.hypot(aheadM, rightM, upM), 0) / corners.length;

/** Whether all of it lies beside the picture on one side. */
function isBeside(points: readonly PictureShare[]): boolean {
  const all = (test: (share: PictureShare) => boolean) => points.every(test);
  return all(({ x }) => x < 0) || all(({ x }) => x > 1) || all(({ y }) => y < 0) || all(({ y }) => y > 1);
}
