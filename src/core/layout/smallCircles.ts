import { gaitSpeedMPerMin } from '../figures/gaitSpeed';
import type { Rein } from '../track/rein';
import type { PlannedTrack } from './layout';
import type { ReckonedTrack } from './reckonedTrack';

/** Common practice, no source: circles of this size and less are hard work. */
export const SMALL_CIRCLE_M = 10;

/** What lies within this of the size is of it, metres. */
const ROUNDING_M = 1e-6;

/**
 * Minutes that one pass of a track spends on small circles, by rein as it is drawn: the figures of a session, and the
 * circles that come back to a pole or fence.
 * @param diameterM - the largest circle that is a small one
 */
export function minutesOnSmallCircles(
  plan: PlannedTrack,
  reckoned: ReckonedTrack,
  diameterM = SMALL_CIRCLE_M,
): Record<Rein, number> {
  if (plan.kind === 'figures' || reckoned.kind === 'figures')
    return { ...((reckoned.kind === 'figures' && reckoned.measure?.smallCircleMinutes) || { left: 0, right: 0 }) };
  const minutes = { left: 0, right: 0 };
  for (const [index, { circle }] of plan.legs.entries())
    if (circle && circle.radiusM <= diameterM / 2 + ROUNDING_M)
      minutes[circle.rein] += reckoned.legs[index]!.trackM / gaitSpeedMPerMin(plan.gait);
  return minutes;
}
