import type { Chain } from '../geometry/chain';
import { smallestRadiusM } from '../geometry/chain';
import type { PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import { viaLeg, type LegGround } from './leg';
import { viaPoints } from './viaPoints';

/** Radii nearer than this are the same, metres. */
const SAME_M = 1e-6;

export type WideLine = { via: PointM; chain: Chain };

/** Whether a way turns no tighter than so. */
export const turnsAsWideAs = (chain: Chain, radiusM: number): boolean =>
  (smallestRadiusM(chain) ?? Infinity) >= radiusM - SAME_M;

/**
 * The shortest line from one pose to another through one point of the sand that turns no tighter than the ground asks for
 * and may be ridden; null where there is none on a grid.
 */
export function wideLine(from: Pose, to: Pose, ground: LegGround, mayRide: (chain: Chain) => boolean): WideLine | null {
  let best: WideLine | null = null;
  for (const { via, atLeastM } of viaPoints(ground.arena, from.at, to.at)) {
    if (best && atLeastM >= best.chain.lengthM) break;
    const { chain, instead } = viaLeg(from, to, via, ground);
    if (instead || (best && chain.lengthM >= best.chain.lengthM)) continue;
    if (turnsAsWideAs(chain, ground.smallestRadiusM) && mayRide(chain)) best = { via, chain };
  }
  return best;
}
