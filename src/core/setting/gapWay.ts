import type { Arena, Wall } from '../arena/arena';
import { distanceM, type PointM } from '../geometry/pointM';
import type { Item, RiddenItem } from '../items/item';
import { fromWall, isBesideWall, pointsOnWall } from './knownPoint';
import { LONGEST_TAPE_M } from './marks';
import { freeMeasure, type Measure } from './measure';
import { pieceEnds } from './pieceEnds';
import type { MeasureId, Placing } from './placing';
import type { Way } from './survey';
import { following, sharedMeasures } from './wallWays';

const SAME_M = 1e-3;
const SAME_RAD = 1e-6;

/**
 * A piece by the gap from another one that stands in the same line, the measure that matters to the horse; the wall along the line
 * holds the line itself. Null where they stand in no line, or where that runs along no wall.
 */
export function gapWay(arena: Arena, item: RiddenItem, before: RiddenItem): Way | null {
  if (distanceM(item.at, before.at) > LONGEST_TAPE_M) return null;
  const along = wallsAlong(item);
  if (!along) return swingWay(arena, item, before);
  if (!isSquareTo(before, along)) return null;
  const ends = pieceEnds(item);
  const [base] = pieceEnds(before);
  const inOf = (wall: Wall) => Math.max(...ends.map(({ at }) => fromWall(arena, wall, at).inM));
  const wall = wallBeside(arena, WALLS_OF[along], [...ends, base!], inOf);
  if (!wall) return null;
  const aside = fromWall(arena, wall, item.at).inM - fromWall(arena, wall, before.at).inM;
  if (Math.abs(aside) > SAME_M || inOf(wall) > LONGEST_TAPE_M) return null;
  const fromM = fromWall(arena, wall, base!.at).alongM;
  const toM = fromWall(arena, wall, ends[0]!.at).alongM;
  const pastM = isAhead(before, item) ? backRailM(before) : 0;
  if (Math.abs(toM - fromM) < pastM + SAME_M) return null;
  const points = pointsOnWall(arena, wall);
  const towards = (toM > fromM ? points[points.length - 1] : points[0])!.point;
  const gap = freeMeasure(`${item.id}|gap`, Math.abs(toM - fromM) - pastM);
  const inwards = sharedMeasures(
    item.id,
    'in',
    ends,
    ends.map(({ at }) => fromWall(arena, wall, at).inM),
  );
  const held = inwards.measures.length === 2 ? following(inwards.measures) : inwards.measures;
  return {
    points: ends.map(({ end, at }, index) => ({
      point: { kind: 'end', item: item.id, end },
      at,
      placing: {
        ...{ how: 'wall', wall, from: { kind: 'end', item: before.id, end: base!.end }, pastM, towards },
        ...{ along: gap.id, inwards: inwards.ids[index]! },
      },
    })),
    measures: [gap, ...held],
  };
}

/** How far behind the front of a fence its back rail stands: from there the ground to the next is ridden, metres. */
const backRailM = (item: RiddenItem): number => (item.kind === 'fence' && item.form !== 'corner' ? item.spreadM : 0);

const isAhead = ({ at, headingRad }: RiddenItem, { at: to }: RiddenItem): boolean =>
  (to.xM - at.xM) * Math.cos(headingRad) + (to.yM - at.yM) * Math.sin(headingRad) > 0;

/** A wall says where on its swing a tape ends, unless the tape runs straight at it. */
const FLATTEST_TO_WALL = Math.cos((50 * Math.PI) / 180);

/** The nearest of some walls that stands beside all these places; null where none does. */
function wallBeside(
  arena: Arena,
  walls: readonly Wall[],
  places: readonly { at: PointM }[],
  inOf: (wall: Wall) => number,
): Wall | null {
  const standing = walls.filter(wall => places.every(({ at }) => isBesideWall(arena, wall, at)));
  // On a rectangle every wall stands: what lies outside it is told apart by those who ask.
  const candidates = arena.outline ? standing : walls;
  return [...candidates].sort((a, b) => inOf(a) - inOf(b))[0] ?? null;
}

/**
 * On a line at an angle to the walls: a tape from like end to like end, swung until each end lies so far in from the wall that
 * runs most along the line. Null where the two do not stand square to one line.
 */
function swingWay(arena: Arena, item: RiddenItem, before: RiddenItem): Way | null {
  const turnedRad = item.headingRad - before.headingRad;
  if (Math.abs(Math.sin(turnedRad)) > SAME_RAD || Math.cos(turnedRad) < 0) return null;
  const [dx, dy] = [item.at.xM - before.at.xM, item.at.yM - before.at.yM];
  const [cos, sin] = [Math.cos(item.headingRad), Math.sin(item.headingRad)];
  if (Math.abs(dy * cos - dx * sin) > SAME_M) return null;
  const pastM = isAhead(before, item) ? backRailM(before) : 0;
  const [ends, bases] = [pieceEnds(item), pieceEnds(before)];
  // Fences of another width have no like ends on the same line.
  if (Math.abs(distanceM(ends[0]!.at, ends[1]!.at) - distanceM(bases[0]!.at, bases[1]!.at)) > SAME_M) return null;
  const axis: Axis = Math.abs(sin) >= FLATTEST_TO_WALL ? 'long' : 'short';
  const inOf = (wall: Wall) => ends.map(({ at }) => fromWall(arena, wall, at).inM);
  const wall = wallBeside(arena, WALLS_OF[axis], ends, one => Math.max(...inOf(one)));
  if (!wall) return null;
  if (Math.max(...inOf(wall)) > LONGEST_TAPE_M || Math.min(...inOf(wall)) < 0) return null;
  const gapM = distanceM(ends[0]!.at, bases[0]!.at) - pastM;
  if (gapM < SAME_M) return null;
  const [from, to] = [fromWall(arena, wall, before.at).alongM, fromWall(arena, wall, item.at).alongM];
  const points = pointsOnWall(arena, wall);
  const towards = (to > from ? points[points.length - 1] : points[0])!.point;
  const gap = freeMeasure(`${item.id}|gap`, gapM);
  const inwards = sharedMeasures(item.id, 'in', ends, inOf(wall));
  return {
    points: ends.map(({ end, at }, index) => ({
      point: { kind: 'end', item: item.id, end },
      at,
      placing: {
        ...{ how: 'swing', from: { kind: 'end', item: before.id, end } },
        ...{ other: { kind: 'end', item: before.id, end: ends[1 - index]!.end }, pastM },
        ...{ gap: gap.id, wall, towards, inwards: inwards.ids[index]! },
      },
    })),
    measures: [gap, ...following(inwards.measures)],
  };
}

type Axis = 'long' | 'short';
const WALLS_OF: Record<Axis, readonly Wall[]> = { long: ['left', 'right'], short: ['near', 'far'] };

/** The walls that the way over a piece runs along; null where it runs along none. */
function wallsAlong({ headingRad }: RiddenItem): Axis | null {
  if (Math.abs(Math.cos(headingRad)) < SAME_RAD) return 'long';
  if (Math.abs(Math.sin(headingRad)) < SAME_RAD) return 'short';
  return null;
}

const isSquareTo = (item: RiddenItem, axis: Axis) => wallsAlong(item) === axis;

/** So far off its own fence a rail is still measured from it, metres: the rail of a fence is a short base. */
const FARTHEST_OFF_M = 6;

/**
 * What helps a fence, by the fence itself: along its front and square off it. Null where it lies too far from it.
 */
export function besideWay(item: Item, fence: RiddenItem): Way | null {
  const [left, right] = pieceEnds(fence);
  const widthM = distanceM(left!.at, right!.at);
  const unit = { x: (right!.at.xM - left!.at.xM) / widthM, y: (right!.at.yM - left!.at.yM) / widthM };
  const ends = pieceEnds(item).map(({ end, at }) => {
    const [dx, dy] = [at.xM - left!.at.xM, at.yM - left!.at.yM];
    return { end, at, alongM: dx * unit.x + dy * unit.y, offM: unit.x * dy - unit.y * dx };
  });
  const least = Math.min(...ends.map(({ alongM }) => alongM));
  const most = Math.max(...ends.map(({ alongM }) => alongM));
  // Measured in from the end that all of it lies behind.
  const fromLeft = least > SAME_M;
  if (!fromLeft && !(most < widthM - SAME_M)) return null;
  if (ends.some(({ offM }) => Math.abs(offM) > FARTHEST_OFF_M)) return null;
  const [base, other] = fromLeft ? [left!, right!] : [right!, left!];
  const measured = ends.map(({ end, at, alongM, offM }) => ({
    ...{ end, at, alongM: fromLeft ? alongM : widthM - alongM },
    offM: fromLeft ? offM : -offM,
  }));
  const id = (what: string, end: string): MeasureId => `${item.id}|${what} ${end}`;
  const isLevel = measured.every(({ alongM }) => Math.abs(alongM - measured[0]!.alongM) < SAME_M);
  const alongId = (end: string) => (isLevel ? `${item.id}|along` : id('along', end));
  const placings = measured.map(({ end, offM }): Placing => ({
    how: 'line',
    from: { kind: 'end', item: fence.id, end: base.end },
    to: { kind: 'end', item: fence.id, end: other.end },
    along: alongId(end),
    off: Math.abs(offM) < SAME_M ? null : { measure: id('off', end), side: offM > 0 ? 'left' : 'right' },
  }));
  const measures: Measure[] = measured.flatMap(({ end, alongM, offM }, index) => [
    ...(isLevel && index > 0 ? [] : [freeMeasure(alongId(end), alongM)]),
    ...(Math.abs(offM) < SAME_M ? [] : [freeMeasure(id('off', end), Math.abs(offM))]),
  ]);
  return {
    points: measured.map(({ end, at }, index) => ({
      point: { kind: 'end', item: item.id, end },
      at,
      placing: placings[index]!,
    })),
    measures,
  };
}
