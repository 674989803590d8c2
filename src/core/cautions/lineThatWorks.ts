import { smallestRadiusM } from '../geometry/chain';
import { isChainInside } from '../geometry/insideArena';
import type { PointM } from '../geometry/pointM';
import { ridingPose } from '../items/footprint';
import { legEnds, legGroundOf } from '../layout/reckonLayout';
import { wideLine } from '../track/wideLine';
import type { CautionContext, LegInTrack } from './cautionRule';
import { isBlocked } from './inTheLine';
import { pointsOf } from './riddenWays';

export type LineThatWorks = { via: PointM; lengthM: number; radiusM: number };

/**
 * A line from the first to the second item of a leg, through one point of the sand, whose turns are no tighter than so
 * many metres, with nothing standing in it: the shortest there is on a grid. Null where there is none.
 */
export function lineThatWorks({ layout }: CautionContext, leg: LegInTrack, leastM: number): LineThatWorks | null {
  const { plan, index } = leg;
  if (plan.legs[index]!.circle) return null;
  const ground = { ...legGroundOf(layout, plan), smallestRadiusM: leastM };
  const [from, to] = legEnds(layout, plan, index);
  const over = [from.item.id, to.item.id];
  const line = wideLine(
    ridingPose(from.item, from.reversed),
    ridingPose(to.item, to.reversed),
    ground,
    chain => isChainInside(layout.arena, chain) && !isBlocked(pointsOf(chain), layout.items, over),
  );
  if (!line) return null;
  const { via, chain } = line;
  return { via, lengthM: chain.lengthM, radiusM: smallestRadiusM(chain) ?? Infinity };
}
