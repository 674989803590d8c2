import type { Pose } from '../geometry/pose';
import { ridingPose, ridingWidthM } from '../items/footprint';
import type { RiddenEnd } from '../track/leg';

/** Where a horse rides over a fan: so far from its hub, with so much ground from pole to pole, metres. */
export type OwnLine = { radiusM: number; groundM: number };

/** Nobody rides nearer to the end of a pole than this, metres (common practice, no source). */
const FROM_END_M = 0.3;
const PARALLEL = 1e-6;

/**
 * The line over two sticks of a fan on which the spacing is a horse's own step, or the nearest to it that the poles reach.
 * Null where the two do not spread from one hub.
 */
export function ownLine(from: RiddenEnd, to: RiddenEnd, stepM: number): OwnLine | null {
  const [a, b] = [ridingPose(from.item, from.reversed), ridingPose(to.item, to.reversed)];
  const sweepRad = Math.abs(Math.atan2(Math.sin(b.headingRad - a.headingRad), Math.cos(b.headingRad - a.headingRad)));
  if (sweepRad < PARALLEL) return null;
  const radiiM = [hubAwayM(a, b), hubAwayM(b, a)];
  const halvesM = [from, to].map(({ item }) => ridingWidthM(item) / 2 - FROM_END_M);
  const leastM = Math.max(...radiiM.map((radiusM, i) => radiusM - halvesM[i]!));
  const mostM = Math.min(...radiiM.map((radiusM, i) => radiusM + halvesM[i]!));
  if (!(leastM > 0 && mostM > leastM)) return null;
  const radiusM = Math.min(mostM, Math.max(leastM, stepM / sweepRad));
  return { radiusM, groundM: radiusM * sweepRad };
}

/** How far the place where two poles' own lines cross lies from the middle of the first. */
function hubAwayM(a: Pose, b: Pose): number {
  // The line along a pole lies square to the way it is ridden.
  const [ux, uy] = [-Math.sin(a.headingRad), Math.cos(a.headingRad)];
  const [vx, vy] = [Math.cos(b.headingRad), Math.sin(b.headingRad)];
  const [dx, dy] = [b.at.xM - a.at.xM, b.at.yM - a.at.yM];
  return Math.abs((dx * vx + dy * vy) / (ux * vx + uy * vy));
}
