import type { PointM } from './pointM';

/** The place nearest to a point on the straight line between two others, ends included. */
export function nearestBetween(from: PointM, to: PointM, { xM, yM }: PointM): PointM {
  const [dx, dy] = [to.xM - from.xM, to.yM - from.yM];
  const squared = dx * dx + dy * dy;
  const share = squared === 0 ? 0 : ((xM - from.xM) * dx + (yM - from.yM) * dy) / squared;
  const on = Math.min(1, Math.max(0, share));
  return { xM: from.xM + on * dx, yM: from.yM + on * dy };
}
