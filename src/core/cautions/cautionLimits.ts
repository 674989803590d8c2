import type { HorseLevel } from '../horse/horseLevel';
import { LEVEL_TURN_M } from '../track/turnCost';
import { SMALL_CIRCLE_M } from '../layout/smallCircles';
import { HIGH_FROM_M } from '../work/questionWork';
import { USUAL_WORK_LIMITS } from '../work/workCounts';

/** Where cautions begin. All are common practice with no source but where it is named, and the yard may change them. */
export type CautionLimits = {
  /** Spacings of one row may differ by so much, metres. */
  unevenRowM: number;
  /** FEI Jumping Rules, Art. 212 (from memory): inside a combination, metres; for horses over the height. */
  combination: { leastM: number; mostM: number; horsesOverM: number };
  standToWallM: number;
  trackToWallM: number;
  runUpM: number;
  landingM: number;
  /** Straight strides before a narrow fence or a corner. */
  straightStrides: number;
  /** A last arc before a fence that is tighter than this, metres, is worth a note. */
  lastArcRadiusM: number;
  /** The tightest turn that a horse of a level carries, metres. */
  turnRadiusM: Record<HorseLevel, { trot: number; canter: number }>;
  slope: { percent: number; radiusM: number };
  efforts: { low: number; high: number; highFromM: number };
  smallCircle: { diameterM: number; minutes: number };
  /** Passes over raised poles in a day. */
  raisedPasses: number;
  yieldSlopeRad: number;
};

export const USUAL_LIMITS: CautionLimits = {
  unevenRowM: 0.03,
  combination: { leastM: 7, mostM: 12, horsesOverM: 1.48 },
  standToWallM: 1.2,
  trackToWallM: 2,
  runUpM: 11,
  landingM: 11,
  straightStrides: 6,
  lastArcRadiusM: 8,
  turnRadiusM: LEVEL_TURN_M,
  slope: { percent: 2, radiusM: 10 },
  efforts: { low: USUAL_WORK_LIMITS.lowEfforts, high: USUAL_WORK_LIMITS.highEfforts, highFromM: HIGH_FROM_M },
  smallCircle: { diameterM: SMALL_CIRCLE_M, minutes: USUAL_WORK_LIMITS.smallCircleMin },
  raisedPasses: USUAL_WORK_LIMITS.raisedPasses,
  yieldSlopeRad: (40 * Math.PI) / 180,
};

/** What lies within this of a limit, metres or radians, is on it. */
export const ROUNDING = 1e-6;
