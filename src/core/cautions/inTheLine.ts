import type { PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import type { Caution, CautionLevel } from './caution';
import { ROUNDING } from './cautionLimits';
import {
  called,
  fromTo,
  legOfCaution,
  sentence,
  trackCalled,
  type CautionContext,
  type CautionRule,
} from './cautionRule';
import { removeOrMove } from './mendMoves';
import { riddenWays, type RiddenWay } from './riddenWays';
import { barOf, toBarM } from '../items/bar';

/** So near to what is ridden, a thing is in it (practice): a rider's knee, a hoof that swings out, a cone that is kicked. */
const IN_THE_WAY_M: Record<Item['kind'], number> = {
  fence: 0.5,
  pole: 0.4,
  guide: 0.3,
  cone: 0.6,
  block: 0.6,
  marker: 0,
};
/** A cone is kicked, a pole rolls and a fence is run into. */
const LEVEL: Record<Item['kind'], CautionLevel> = {
  ...{ fence: 'stop', pole: 'stop', guide: 'warn' },
  ...{ cone: 'warn', block: 'warn', marker: 'note' },
};

/** The farthest that anything counts as beside, metres: a stand of another fence. */
export const BESIDE_M = 1.2;

export type Beside = { item: Item; way: RiddenWay; offM: number };

const found = new WeakMap<object, Beside[]>();

/** Everything that stands or lies beside something ridden and is not ridden over, where it is nearest to each track. */
export function besideTheWays(context: CautionContext): Beside[] {
  const known = found.get(context);
  if (known) return known;
  const things = context.layout.items.map(item => ({ item, bar: barOf(item) }));
  const all = riddenWays(context).flatMap(way => {
    const box = boxOf(way, BESIDE_M);
    return things.flatMap(({ item, bar }): Beside[] => {
      if (way.over.has(item.id) || item.kind === 'marker' || isOutside(bar, box)) return [];
      const offM = Math.min(...way.points.map(point => toBarM(point, bar)));
      return offM < BESIDE_M - ROUNDING ? [{ item, way, offM }] : [];
    });
  });
  const nearest = new Map<string, Beside>();
  for (const beside of all) {
    const key = `${beside.way.track} ${beside.item.id}`;
    const before = nearest.get(key);
    if (!before || beside.offM < before.offM) nearest.set(key, beside);
  }
  const besides = [...nearest.values()];
  found.set(context, besides);
  return besides;
}

/** Whether something stands or lies in a way that leads over these. */
export function isBlocked(points: readonly PointM[], items: readonly Item[], over: readonly string[]): boolean {
  return items.some(item => {
    if (over.includes(item.id) || item.kind === 'marker') return false;
    const bar = barOf(item);
    const leastM = item.kind === 'fence' ? BESIDE_M : IN_THE_WAY_M[item.kind];
    return points.some(point => toBarM(point, bar) < leastM);
  });
}

type Box = { minX: number; maxX: number; minY: number; maxY: number };

function boxOf({ points }: RiddenWay, byM: number): Box {
  const box = { minX: Infinity, maxX: -Infinity, minY: Infinity, maxY: -Infinity };
  for (const { xM, yM } of points) {
    box.minX = Math.min(box.minX, xM - byM);
    box.maxX = Math.max(box.maxX, xM + byM);
    box.minY = Math.min(box.minY, yM - byM);
    box.maxY = Math.max(box.maxY, yM + byM);
  }
  return box;
}

const isOutside = ({ from, to }: ReturnType<typeof barOf>, box: Box) =>
  Math.max(from.xM, to.xM) < box.minX ||
  Math.min(from.xM, to.xM) > box.maxX ||
  Math.max(from.yM, to.yM) < box.minY ||
  Math.min(from.yM, to.yM) > box.maxY;

/** Whether a thing is in what is ridden, and not only beside it. */
export const isInTheLine = ({ item, offM }: Beside): boolean => offM < IN_THE_WAY_M[item.kind] - ROUNDING;

/** Something stands or lies in what is ridden: a fence across or along the line, a loose pole, a cone, a block. */
export const inTheLine: CautionRule = {
  code: 'in-the-line',
  find: context =>
    besideTheWays(context)
      .filter(isInTheLine)
      .map(({ item, way }): Caution => {
        const what = called(context, item.id);
        return {
          code: 'in-the-line',
          level: LEVEL[item.kind],
          items: [item.id],
          place: { track: way.track, part: way.part },
          text: sentence(`${what} ${verbOf(item)} in what is ridden ${wayWords(context, way)}.`),
          mend: 'Move it out of the line, take it away, or ride another line.',
        };
      }),
  mends: removeOrMove,
};

/** Where on what is ridden, in a sentence: "from fence 1 to fence 2", "by the course". */
export function wayWords(context: CautionContext, { track, part }: RiddenWay): string {
  const leg = part === null ? null : legOfCaution(context, { place: { track, part } });
  return leg ? fromTo(context, leg.leg) : `by ${trackCalled(context, track)}`;
}

const verbOf = ({ kind }: Item) => (kind === 'pole' || kind === 'guide' ? 'lies' : 'stands');
