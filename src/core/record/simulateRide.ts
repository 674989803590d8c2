import { assertNever } from '../assertNever';
import type { GaitedGait } from '../horse/strideEntry';
import { seededNormal } from '../statistics/seededRandom';

/** The four feet: left or right, fore or hind. */
export const FEET = ['LF', 'RF', 'LH', 'RH'] as const;
export type Foot = (typeof FEET)[number];

/** A foot that lands: seconds from the start of the recording, and where, metres along and beside the lane, if known. */
export type FootLanding = { timeS: number; foot: Foot; xM: number | null; yM: number | null };

export type SimulatedGait = 'walk' | 'trot' | 'canter' | GaitedGait;

export type SimulatedRide = {
  gait: SimulatedGait;
  /** The mean stride of this pass, metres. */
  strideM: number;
  /** The lane begins at 0 and ends here; the ride comes in before it and goes on behind it. */
  laneM: number;
  /** How much one stride differs from the next, as a share. */
  spread: number;
};

/**
 * Strides a second (Clayton 1994 and 1995, from memory: the middle of what was published for the gait); those of a gaited horse's own
 * are common practice, no source.
 */
const STRIDES_PER_S: Record<SimulatedGait, number> = {
  ...{ walk: 0.9, trot: 1.33, canter: 1.68 },
  ...{ 'flat-walk': 1, 'running-walk': 1.25, 'fox-trot': 1.35, 'saddle-gait': 1.6, pace: 1.6 },
};

/** When in the stride each foot lands, as a share of it; canter on the left lead. */
function footfallsOf(gait: SimulatedGait): readonly { foot: Foot; at: number }[] {
  switch (gait) {
    case 'walk':
    case 'flat-walk':
    case 'running-walk':
    case 'saddle-gait':
      // Four beats, each hind foot before the fore foot of its side.
      return [
        { foot: 'LH', at: 0 },
        { foot: 'LF', at: 0.25 },
        { foot: 'RH', at: 0.5 },
        { foot: 'RF', at: 0.75 },
      ];
    case 'fox-trot':
      // A broken trot: the fore foot a little before the hind foot across.
      return [
        { foot: 'RF', at: 0 },
        { foot: 'LH', at: 0.1 },
        { foot: 'LF', at: 0.5 },
        { foot: 'RH', at: 0.6 },
      ];
    case 'pace':
      return [
        { foot: 'LH', at: 0 },
        { foot: 'LF', at: 0 },
        { foot: 'RH', at: 0.5 },
        { foot: 'RF', at: 0.5 },
      ];
    case 'trot':
      return [
        { foot: 'LH', at: 0 },
        { foot: 'RF', at: 0 },
        { foot: 'RH', at: 0.5 },
        { foot: 'LF', at: 0.5 },
      ];
    case 'canter':
      return [
        { foot: 'RH', at: 0 },
        { foot: 'LH', at: 0.22 },
        { foot: 'RF', at: 0.22 },
        { foot: 'LF', at: 0.45 },
      ];
    default:
      return assertNever(gait);
  }
}

/** Common practice, no source: fore feet land about so far ahead of hind feet, and so far beside the middle. */
const FORE_AHEAD_M = 1;
const BESIDE_M = 0.15;
const RUN_IN_STRIDES = 2;

/**
 * A ride down a lane, foot by foot, as a sensor would have it. The first foot lands anywhere before the lane, strides
 * vary, and times follow from the gait's rate.
 * @param random - a generator of numbers in [0, 1): the same seed gives the same ride
 * @throws {RangeError} lengths that are not positive and finite, or a spread outside 0 to 0.5
 */
export function simulateRide(ride: SimulatedRide, random: () => number): FootLanding[] {
  const { gait, strideM, laneM, spread } = ride;
  const possible = strideM > 0 && strideM < Infinity && laneM > 0 && laneM < Infinity && spread >= 0 && spread <= 0.5;
  if (!possible) throw new RangeError(`simulateRide(${JSON.stringify(ride)})`);
  const landings: FootLanding[] = [];
  let xM = -(RUN_IN_STRIDES + random()) * strideM;
  let timeS = 0;
  while (xM < laneM + RUN_IN_STRIDES * strideM) {
    const lengthM = strideM * Math.max(0.2, 1 + spread * seededNormal(random));
    for (const { foot, at } of footfallsOf(gait))
      landings.push({
        timeS: timeS + at / STRIDES_PER_S[gait],
        foot,
        xM: xM + at * lengthM + (foot.endsWith('F') ? FORE_AHEAD_M : 0),
        yM: foot.startsWith('L') ? BESIDE_M : -BESIDE_M,
      });
    xM += lengthM;
    timeS += 1 / STRIDES_PER_S[gait];
  }
  return landings;
}

/**
 * How often a foot landed in the lane. Where places are known, those from the start line up to the finish count; where
 * they are not, every landing does: the recording is then of the lane alone.
 */
export function countInLane(landings: readonly FootLanding[], foot: Foot, laneM: number): number {
  return landings.filter(
    landing => landing.foot === foot && (landing.xM === null || (landing.xM >= 0 && landing.xM < laneM)),
  ).length;
}
