import type { Arena } from '../arena/arena';
import { distanceM, type PointM } from '../geometry/pointM';
import type { Item, RiddenItem } from '../items/item';
import { freeMeasure, type Measure } from './measure';
import { pieceEnds } from './pieceEnds';
import { isGoodPull } from './placing';
import { pullPlacing } from './pullWays';
import type { Way } from './survey';

const SAME_M = 1e-6;

/**
 * A piece between two others that are set: along the tapes between their left ends and between their right ends, and off
 * them where it does not lie on them. On an arc that is the chord and its offset.
 */
export function lineWay(item: RiddenItem, first: RiddenItem, last: RiddenItem): Way {
  const firsts = pieceEnds(first);
  const lasts = pieceEnds(last);
  const ends = pieceEnds(item).map((end, index) => {
    const place = onLine(firsts[index]!.at, lasts[index]!.at, end.at);
    return { ...end, ...place, from: firsts[index]!, to: lasts[index]! };
  });
  const shared = ends.every(({ alongM, offM }) => {
    const [{ alongM: a, offM: o }] = ends as [(typeof ends)[number]];
    return Math.abs(alongM - a) < SAME_M && Math.abs(offM) < SAME_M && Math.abs(o) < SAME_M;
  });
  const id = (what: string, end: string) => `${item.id}|${what}${shared ? '' : ` ${end}`}`;
  return {
    points: ends.map(({ end, at, offM, from, to }) => ({
      point: { kind: 'end', item: item.id, end },
      at,
      placing: {
        how: 'line',
        from: { kind: 'end', item: first.id, end: from.end },
        to: { kind: 'end', item: last.id, end: to.end },
        along: id('on line', end),
        off: Math.abs(offM) < SAME_M ? null : { measure: id('off line', end), side: offM > 0 ? 'left' : 'right' },
      },
    })),
    measures: dedupe(
      ends.flatMap(({ end, alongM, offM }) => [
        freeMeasure(id('on line', end), alongM),
        ...(Math.abs(offM) < SAME_M ? [] : [freeMeasure(id('off line', end), Math.abs(offM))]),
      ]),
    ),
  };
}

/** Whether a piece lies between two others, so that nothing is measured beyond them. */
export function isBetween(item: Item, first: Item, last: Item): boolean {
  const firsts = pieceEnds(first);
  const lasts = pieceEnds(last);
  return pieceEnds(item).every(({ at }, index) => {
    const [from, to] = [firsts[index]?.at, lasts[index]?.at];
    if (!from || !to) return false;
    const { alongM } = onLine(from, to, at);
    return alongM > 0 && alongM < distanceM(from, to);
  });
}

/** Along a line and off it, to the left as seen along it, metres. */
function onLine(from: PointM, to: PointM, at: PointM): { alongM: number; offM: number } {
  const lengthM = distanceM(from, to);
  const [ux, uy] = [(to.xM - from.xM) / lengthM, (to.yM - from.yM) / lengthM];
  const [dx, dy] = [at.xM - from.xM, at.yM - from.yM];
  return { alongM: dx * ux + dy * uy, offM: ux * dy - uy * dx };
}

const dedupe = (measures: readonly Measure[]) => [...new Map(measures.map(measure => [measure.id, measure])).values()];

/** A circle that pieces are set round: its centre is a peg. */
export type RopedArc = { peg: string; centre: PointM };

/**
 * A piece on an arc: each end by the rope from the peg, and a tape from the same end of another piece of the arc. Null
 * where the two meet too flat. All pieces share the two marks on the rope.
 */
export function ropeWay(arena: Arena, item: RiddenItem, base: RiddenItem, { peg, centre }: RopedArc): Way | null {
  const baseEnds = nearestEndFirst(base, centre);
  // Marks on the rope are named after their length: pieces of one width share them.
  const mark = (at: PointM) => `peg ${peg}|rope ${Math.round(distanceM(centre, at) * 1000)}`;
  const points = nearestEndFirst(item, centre).map(({ end, at }, index) => {
    const ring = RINGS[index]!;
    const from = baseEnds[index]!;
    const placing = pullPlacing(arena, at, {
      rope: true,
      first: { point: { kind: 'peg', peg }, at: centre, measure: mark(at) },
      second: {
        point: { kind: 'end', item: base.id, end: from.end },
        at: from.at,
        measure: `${item.id}|chord ${ring}`,
      },
    });
    return { point: { kind: 'end' as const, item: item.id, end }, at, placing, from };
  });
  if (points.some(({ placing }) => placing.how === 'pulls' && !isGoodPull(placing.angleRad))) return null;
  const [radiusM, outerM] = points.map(({ at }) => distanceM(centre, at)) as [number, number];
  const chordsM = points.map(({ at, from }) => distanceM(at, from.at)) as [number, number];
  return {
    points: points.map(({ point, at, placing }) => ({ point, at, placing })),
    measures: [
      freeMeasure(mark(points[0]!.at), radiusM),
      following(mark(points[1]!.at), outerM, mark(points[0]!.at), { addM: outerM - radiusM }),
      freeMeasure(`${item.id}|chord inner`, chordsM[0]),
      following(`${item.id}|chord outer`, chordsM[1], `${item.id}|chord inner`, { times: chordsM[1] / chordsM[0] }),
    ],
  };
}

const RINGS = ['inner', 'outer'] as const;

const nearestEndFirst = (item: RiddenItem, centre: PointM) =>
  [...pieceEnds(item)].sort((a, b) => distanceM(a.at, centre) - distanceM(b.at, centre));

function following(
  id: string,
  lengthM: number,
  from: string,
  { times = 1, addM = 0 }: { times?: number; addM?: number },
): Measure {
  return { id, lengthM, follows: { from, times, addM } };
}
