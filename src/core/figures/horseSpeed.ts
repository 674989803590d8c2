import { defaultStride } from '../horse/defaultStrides';
import type { LayoutHorse } from '../layout/layout';
import { laneStride } from '../layout/layoutStrides';
import type { TrackGait } from '../layout/trackGait';
import { gaitSpeedMPerMin } from './gaitSpeed';

/** The horse that the usual speeds are of (common practice, no source). */
const USUAL_HEIGHT_M = 1.6;

/** How fast a horse goes in a gait, metres a minute: as the usual one, by as much as its stride in the lane is longer or shorter. */
export function horseSpeedMPerMin(horse: LayoutHorse, gait: TrackGait): number {
  const usualM = gaitSpeedMPerMin(gait);
  const own = laneStride(horse, gait);
  const usual = defaultStride(gait, USUAL_HEIGHT_M, 'all-round');
  return own && usual ? (usualM * own.normalM) / usual.normalM : usualM;
}
