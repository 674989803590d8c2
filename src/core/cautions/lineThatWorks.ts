import type { PointM } from '../geometry/pointM';
import { smallestRadiusM } from '../geometry/chain';
import { isChainInside } from '../geometry/insideArena';
import { legGroundOf, legEnds } from '../layout/reckonLayout';
import { legTrack } from '../track/leg';
import { viaPoints } from '../track/viaPoints';
import type { CautionContext, LegInTrack } from './cautionRule';
import { isBlocked } from './inTheLine';
import { pointsOf } from './riddenWays';

export type LineThatWorks = { via: PointM; lengthM: number; radiusM: number };

const known = new WeakMap<object, Map<string, LineThatWorks | null>>();

/**
 * A line from the first to the second item of a leg, through one point of the sand, whose turns are no tighter than so
 * many metres, with nothing standing in it: the shortest there is on a grid. Null where there is none.
 */
export function lineThatWorks(context: CautionContext, leg: LegInTrack, leastM: number): LineThatWorks | null {
  const tried = known.get(leg.leg) ?? new Map<string, LineThatWorks | null>();
  known.set(leg.leg, tried);
  const key = leastM.toFixed(6);
  if (!tried.has(key)) tried.set(key, searched(context, leg, leastM));
  return tried.get(key)!;
}

function searched({ layout }: CautionContext, { plan, index }: LegInTrack, leastM: number): LineThatWorks | null {
  const ground = { ...legGroundOf(layout, plan), smallestRadiusM: leastM };
  const [from, to] = legEnds(layout, plan, index);
  const planned = plan.legs[index]!;
  if (planned.circle) return null;
  let best: LineThatWorks | null = null;
  for (const { via, atLeastM } of viaPoints(layout.arena, from.item.at, to.item.at)) {
    if (best && atLeastM >= best.lengthM) break;
    const way = legTrack(from, to, { ...planned, track: { via } }, ground);
    if (!way.ok || way.instead || (best && way.chain.lengthM >= best.lengthM)) continue;
    const radiusM = smallestRadiusM(way.chain) ?? Infinity;
    if (radiusM < leastM - 1e-6 || !isChainInside(layout.arena, way.chain)) continue;
    if (isBlocked(pointsOf(way.chain), layout.items, [from.item.id, to.item.id])) continue;
    best = { via, lengthM: way.chain.lengthM, radiusM };
  }
  return best;
}
