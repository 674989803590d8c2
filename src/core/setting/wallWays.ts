import type { Arena, Wall } from '../arena/arena';
import type { PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import { fromWall, isBesideWall, pointsOnWall, type KnownPoint } from './knownPoint';
import { LONGEST_TAPE_M, markedWall } from './marks';
import { freeMeasure, type Measure } from './measure';
import { pieceEnds, type EndPoint } from './pieceEnds';
import type { Way } from './survey';

const SAME_M = 1e-6;
const WALLS: readonly Wall[] = ['left', 'right', 'near', 'far'];

/**
 * Every way to set a piece square from a wall, the nearest long side first. Ends that lie level share their measure. Where
 * the points of a wall are farther off than a tape is long, its marks serve.
 */
export function wallWays(arena: Arena, item: Item): Way[] {
  const ends = pieceEnds(item);
  const farthestM = (wall: Wall) => Math.max(...ends.map(({ at }) => fromWall(arena, wall, at).inM));
  // A long side is measured from before a short one unless that is much nearer: one walks along it anyway.
  const rank = (wall: Wall) => farthestM(wall) * (wall === 'near' || wall === 'far' ? 2 : 1);
  return [...WALLS]
    .filter(wall => ends.every(({ at }) => isBesideWall(arena, wall, at)))
    .sort((a, b) => rank(a) - rank(b))
    .map(wall => wallWay(arena, item.id, ends, wall));
}

/** A peg, square from the nearest wall. */
export function pegWay(arena: Arena, peg: string, at: PointM): Way {
  const byNearness = [...WALLS].sort((a, b) => fromWall(arena, a, at).inM - fromWall(arena, b, at).inM);
  const wall = byNearness.find(one => isBesideWall(arena, one, at)) ?? byNearness[0]!;
  const { inM, alongM } = fromWall(arena, wall, at);
  const { from, towards, fromM } = startInReach(arena, wall, [alongM]);
  const id = (what: string) => `peg ${peg}|${what}`;
  return {
    points: [
      {
        point: { kind: 'peg', peg },
        at,
        placing: { how: 'wall', wall, from, pastM: 0, towards, along: id('along'), inwards: id('in') },
      },
    ],
    measures: [freeMeasure(id('along'), Math.abs(alongM - fromM)), freeMeasure(id('in'), inM)],
  };
}

function wallWay(arena: Arena, itemId: string, ends: readonly EndPoint[], wall: Wall): Way {
  const places = ends.map(({ at }) => fromWall(arena, wall, at));
  const { from, towards, fromM } = startInReach(
    arena,
    wall,
    places.map(({ alongM }) => alongM),
  );
  const along = sharedMeasures(
    itemId,
    'along',
    ends,
    places.map(({ alongM }) => Math.abs(alongM - fromM)),
  );
  const inwards = sharedMeasures(
    itemId,
    'in',
    ends,
    places.map(({ inM }) => inM),
  );
  // A piece that lies level differs in one of the two only, and its far end follows from its near end and its length.
  const spread = [along, inwards].filter(({ measures }) => measures.length === 2);
  if (spread.length === 1) spread[0]!.measures = following(spread[0]!.measures);
  return {
    points: ends.map(({ end, at }, index) => ({
      point: { kind: 'end', item: itemId, end },
      at,
      placing: { how: 'wall', wall, from, pastM: 0, towards, along: along.ids[index]!, inwards: inwards.ids[index]! },
    })),
    measures: [...along.measures, ...inwards.measures],
  };
}

/** One measure for both ends where they are level, one for each where they are not. */
export function sharedMeasures(
  itemId: string,
  what: string,
  ends: readonly EndPoint[],
  lengthsM: readonly number[],
): { ids: string[]; measures: Measure[] } {
  const isLevel = lengthsM.every(lengthM => Math.abs(lengthM - lengthsM[0]!) < SAME_M);
  const ids = ends.map(({ end }) => (isLevel ? `${itemId}|${what}` : `${itemId}|${what} ${end}`));
  const measures = isLevel
    ? [freeMeasure(ids[0]!, lengthsM[0]!)]
    : ids.map((id, index) => freeMeasure(id, lengthsM[index]!));
  return { ids, measures };
}

/** The second of two measures follows from the first. */
export function following(measures: readonly Measure[]): Measure[] {
  const [near, far] = measures as [Measure, Measure];
  return [near, { ...far, follows: { from: near.id, times: 1, addM: far.lengthM - near.lengthM } }];
}

type WallStart = { from: KnownPoint; towards: KnownPoint; fromM: number };
type WallPoint = { point: KnownPoint; alongM: number };

/** The point of a wall to measure along from: of the arena's own, where a tape reaches from one; else a mark. */
function startInReach(arena: Arena, wall: Wall, alongsM: readonly number[]): WallStart {
  const own = pointsOnWall(arena, wall);
  const start = startOnWall(own, own, alongsM);
  const farthestM = Math.max(...alongsM.map(alongM => Math.abs(alongM - start.fromM)));
  return farthestM <= LONGEST_TAPE_M ? start : startOnWall(markedWall(arena, wall), own, alongsM);
}

/**
 * The point to measure along from: the nearest that lies before all of them or behind all of them. The way is told by the
 * arena's own next point.
 */
function startOnWall(points: readonly WallPoint[], own: readonly WallPoint[], alongsM: readonly number[]): WallStart {
  const [leastM, mostM] = [Math.min(...alongsM), Math.max(...alongsM)];
  const before = points.filter(({ alongM }) => alongM <= leastM + SAME_M).pop() ?? points[0]!;
  const behind = points.find(({ alongM }) => alongM >= mostM - SAME_M) ?? points[points.length - 1]!;
  const useBefore = mostM - before.alongM <= behind.alongM - leastM;
  const start = useBefore ? before : behind;
  const beyond = own.find(({ alongM }) => alongM > start.alongM + SAME_M);
  const back = own.findLast(({ alongM }) => alongM < start.alongM - SAME_M);
  // At the very last point of a wall there is nothing beyond: measure back.
  const towards = (useBefore ? (beyond ?? back) : (back ?? beyond))!;
  return { from: start.point, towards: towards.point, fromM: start.alongM };
}
