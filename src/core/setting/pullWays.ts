import type { Arena } from '../arena/arena';
import { distanceM, type PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import { arenaPoints, type KnownPoint } from './knownPoint';
import { LONGEST_TAPE_M } from './marks';
import { freeMeasure } from './measure';
import { pieceEnds } from './pieceEnds';
import { angleBetween, isGoodPull, tapesMeet, tellingWall, type Placing } from './placing';
import type { Way } from './survey';

/**
 * The ways to set a piece by two tapes from the same two points, the squarest and shortest first. Where no two points give
 * a good angle, the best of the bad: the sheet says so. What no tape reaches is no way.
 * @param points - what can be taped from: the points of the arena, and marks where those are too far
 */
export function pullWays(arena: Arena, item: Item, points = arenaPoints(arena)): Way[] {
  const ends = pieceEnds(item);
  const pairs = points.flatMap((a, index) => points.slice(index + 1).map(b => [a, b] as const));
  return pairs
    .map(([a, b]) => {
      const angles = ends.map(({ at }) => angleBetween(at, a.at, b.at));
      const longestM = Math.max(...ends.flatMap(({ at }) => [distanceM(at, a.at), distanceM(at, b.at)]));
      const flatness = Math.max(...angles.map(angle => Math.abs(angle - Math.PI / 2)));
      return { a, b, longestM, flatness, good: angles.every(isGoodPull) };
    })
    .filter(({ flatness, longestM }) => flatness < Math.PI / 2 - 0.05 && longestM <= LONGEST_TAPE_M)
    .sort((x, y) => Number(y.good) - Number(x.good) || x.longestM + 12 * x.flatness - (y.longestM + 12 * y.flatness))
    .slice(0, 12)
    .map(({ a, b }) => ({
      points: ends.map(({ end, at }) => ({
        point: { kind: 'end' as const, item: item.id, end },
        at,
        placing: pullPlacing(arena, at, {
          rope: false,
          first: { ...a, measure: `${item.id}|first ${end}` },
          second: { ...b, measure: `${item.id}|second ${end}` },
        }),
      })),
      measures: ends.flatMap(({ end, at }) => [
        freeMeasure(`${item.id}|first ${end}`, distanceM(at, a.at)),
        freeMeasure(`${item.id}|second ${end}`, distanceM(at, b.at)),
      ]),
    }));
}

type PullFrom = { point: KnownPoint; at: PointM; measure: string };

/** Two tapes, or a rope and a tape, that meet at a point. */
export function pullPlacing(
  arena: Arena,
  at: PointM,
  { rope, first, second }: { rope: boolean; first: PullFrom; second: PullFrom },
): Placing {
  const meets = tapesMeet(
    { at: first.at, lengthM: distanceM(first.at, at) },
    { at: second.at, lengthM: distanceM(second.at, at) },
  );
  const other = distanceM(meets[0], at) <= distanceM(meets[1], at) ? meets[1] : meets[0];
  return {
    how: 'pulls',
    rope,
    first: { from: first.point, measure: first.measure },
    second: { from: second.point, measure: second.measure },
    towards: tellingWall(arena, at, other),
    angleRad: angleBetween(at, first.at, second.at),
  };
}
