import type { Arena, Wall } from '../arena/arena';
import { assertNever } from '../assertNever';
import { distanceM, pointAlong, type PointM } from '../geometry/pointM';
import { arenaPoints, atWall, fromWall, pointKey, type KnownPoint } from './knownPoint';

/** The name of a measure on a sheet. Two placings that name the same measure share it. */
export type MeasureId = string;

/** How one point is found on the ground. */
export type Placing =
  /** Along a wall from one of its points towards another, then square in. On from a piece that is deep, from its back rail. */
  | {
      how: 'wall';
      wall: Wall;
      from: KnownPoint;
      /** How far behind the front of what it is measured on from the measure begins, metres. */
      pastM: number;
      towards: KnownPoint;
      along: MeasureId;
      inwards: MeasureId;
    }
  /**
   * On a tape from the like end of the piece before, from its back rail where it is deep, swung until the place lies so far in
   * from a wall; of the two places where it does, the one nearer to `towards`.
   */
  | {
      how: 'swing';
      from: KnownPoint;
      /** The other end of the piece before: which way it is ridden. */
      other: KnownPoint;
      pastM: number;
      gap: MeasureId;
      wall: Wall;
      towards: KnownPoint;
      inwards: MeasureId;
    }
  /** On the tape between two points that are already set; then off it, square, to one side as seen along it. */
  | {
      how: 'line';
      from: KnownPoint;
      to: KnownPoint;
      along: MeasureId;
      off: { measure: MeasureId; side: 'left' | 'right' } | null;
    }
  /** Where two tapes meet; of the two places where they do, the one nearer to `towards`. The first may be a rope. */
  | {
      how: 'pulls';
      rope: boolean;
      first: { from: KnownPoint; measure: MeasureId };
      second: { from: KnownPoint; measure: MeasureId };
      towards: Wall;
      /** Between the two tapes where they meet. */
      angleRad: number;
    };

/** Tapes that meet flatter than this say little about one direction (common practice, no source). */
export const FLATTEST_PULL_RAD = Math.PI / 6;

/** Whether two tapes meet squarely enough to be trusted. */
export function isGoodPull(angleRad: number): boolean {
  return angleRad >= FLATTEST_PULL_RAD - 1e-9 && angleRad <= Math.PI - FLATTEST_PULL_RAD + 1e-9;
}

/** The angle at a point between the ways to two others, 0 to π. */
export function angleBetween(at: PointM, a: PointM, b: PointM): number {
  const turn = Math.atan2(a.yM - at.yM, a.xM - at.xM) - Math.atan2(b.yM - at.yM, b.xM - at.xM);
  return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn)));
}

/** Where the points of the arena lie, and what else has been set. */
export type Whereabouts = (point: KnownPoint) => PointM;

/** Knows the arena's own points, and those that are added to it. */
export function whereabouts(arena: Arena): { where: Whereabouts; set: (point: KnownPoint, at: PointM) => void } {
  const known = new Map(arenaPoints(arena).map(({ point, at }) => [pointKey(point), at]));
  return {
    where: point => {
      const at = known.get(pointKey(point));
      if (!at) throw new RangeError(`whereabouts: ${pointKey(point)} is not set yet`);
      return at;
    },
    set: (point, at) => void known.set(pointKey(point), at),
  };
}

/**
 * The point that a placing comes to with these measures, metres. Tapes that do not reach each other meet where they come
 * nearest.
 */
export function placedPoint(
  arena: Arena,
  placing: Placing,
  measureM: (id: MeasureId) => number,
  where: Whereabouts,
): PointM {
  switch (placing.how) {
    case 'wall': {
      const along = (point: KnownPoint) => fromWall(arena, placing.wall, where(point)).alongM;
      const fromM = along(placing.from);
      const way = Math.sign(along(placing.towards) - fromM);
      return atWall(arena, placing.wall, {
        alongM: fromM + way * (placing.pastM + measureM(placing.along)),
        inM: measureM(placing.inwards),
      });
    }
    case 'swing': {
      const { wall, inwards, gap } = placing;
      const base = fromWall(arena, wall, swungFrom(placing, where));
      const towardsM = fromWall(arena, wall, where(placing.towards)).alongM;
      const inM = measureM(inwards);
      // A tape that is too short to get there ends where it comes nearest.
      const asideM = Math.sqrt(Math.max(0, measureM(gap) ** 2 - (inM - base.inM) ** 2));
      return atWall(arena, wall, { alongM: base.alongM + Math.sign(towardsM - base.alongM) * asideM, inM });
    }
    case 'line': {
      const from = where(placing.from);
      const to = where(placing.to);
      const lineRad = Math.atan2(to.yM - from.yM, to.xM - from.xM);
      const on = pointAlong(from, lineRad, measureM(placing.along));
      if (!placing.off) return on;
      const side = placing.off.side === 'left' ? 1 : -1;
      return pointAlong(on, lineRad + (side * Math.PI) / 2, measureM(placing.off.measure));
    }
    case 'pulls': {
      const { first, second, towards } = placing;
      const meets = tapesMeet(
        { at: where(first.from), lengthM: measureM(first.measure) },
        { at: where(second.from), lengthM: measureM(second.measure) },
      );
      return nearerTo(arena, towards, meets);
    }
    default:
      return assertNever(placing);
  }
}

/** Where a tape that is swung is held: the like end of the piece before, at its back rail. */
export function swungFrom(
  { from, other, pastM }: Pick<Extract<Placing, { how: 'swing' }>, 'from' | 'other' | 'pastM'>,
  where: Whereabouts,
): PointM {
  const [held, far] = [where(from), where(other)];
  // Ahead is a quarter turn to the right of the way from a right end to a left one.
  const side = from.kind === 'end' && from.end === 'left' ? 1 : -1;
  const leftRad = Math.atan2(side * (held.yM - far.yM), side * (held.xM - far.xM));
  return pointAlong(held, leftRad - Math.PI / 2, pastM);
}

type Tape = { at: PointM; lengthM: number };

/** The two places where tapes from two points meet; where they come nearest if they do not. */
export function tapesMeet(first: Tape, second: Tape): [PointM, PointM] {
  const apartM = distanceM(first.at, second.at);
  const lineRad = Math.atan2(second.at.yM - first.at.yM, second.at.xM - first.at.xM);
  if (apartM === 0) return [first.at, first.at];
  const alongM = (apartM ** 2 + first.lengthM ** 2 - second.lengthM ** 2) / (2 * apartM);
  const offSquared = first.lengthM ** 2 - alongM ** 2;
  const foot = pointAlong(first.at, lineRad, alongM);
  if (!(offSquared > 0)) return [foot, foot];
  const offM = Math.sqrt(offSquared);
  return [pointAlong(foot, lineRad + Math.PI / 2, offM), pointAlong(foot, lineRad - Math.PI / 2, offM)];
}

function nearerTo(arena: Arena, wall: Wall, [a, b]: [PointM, PointM]): PointM {
  return fromWall(arena, wall, a).inM <= fromWall(arena, wall, b).inM ? a : b;
}

/** The wall that tells two places apart best, with the first of them the nearer to it. */
export function tellingWall(arena: Arena, wanted: PointM, other: PointM): Wall {
  const walls: Wall[] = ['left', 'right', 'near', 'far'];
  const nearer = (wall: Wall) => fromWall(arena, wall, other).inM - fromWall(arena, wall, wanted).inM;
  return walls.reduce((best, wall) => (nearer(wall) > nearer(best) + 1e-9 ? wall : best));
}

/** The measures a placing needs. */
export function measuresOf(placing: Placing): MeasureId[] {
  switch (placing.how) {
    case 'wall':
      return [placing.along, placing.inwards];
    case 'swing':
      return [placing.gap, placing.inwards];
    case 'line':
      return placing.off ? [placing.along, placing.off.measure] : [placing.along];
    case 'pulls':
      return [placing.first.measure, placing.second.measure];
    default:
      return assertNever(placing);
  }
}

/** The points a placing is measured from. */
export function measuredFrom(placing: Placing): KnownPoint[] {
  switch (placing.how) {
    case 'wall':
      return [placing.from];
    case 'swing':
      return [placing.from, placing.other];
    case 'line':
      return [placing.from, placing.to];
    case 'pulls':
      return [placing.first.from, placing.second.from];
    default:
      return assertNever(placing);
  }
}
