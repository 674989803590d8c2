import { poseAt, type Chain } from '../geometry/chain';
import type { Pose } from '../geometry/pose';
import { segmentLengthM } from '../geometry/segment';
import { ridingDepthM, ridingHeightM } from '../items/footprint';
import { distanceRule, type DistanceCase } from '../stride/distanceRule';
import { nearestToEven } from '../stride/offEven';
import { jumpAllowanceM } from '../stride/jumpAllowance';
import type { Rein } from '../track/rein';
import { alongCounted } from '../track/turnCost';
import type { HorseReading, ReckonedLeg } from './reckonedLeg';

/** A place where a horse's strides begin and end on a leg; at walk and trot over poles, a step. */
export type HoofMark = { kind: 'landing' | 'stride' | 'take-off'; alongM: number; pose: Pose };

/** The count a horse is shown in: the one that is asked, else the one nearest to its normal stride; null for none. */
export function shownCount(reading: HorseReading): number | null {
  if (reading.asked) return reading.asked.strides;
  const nearest = nearestToEven(reading.options);
  return nearest && nearest.q > 0 ? nearest.strides : null;
}

/**
 * Where a horse lands, strides and takes off on a leg, in the count it is shown in. Landing and take-off share what the
 * rule of the distance leaves beside the strides: alike in the whole-stride school, over poles and in a grid, by the
 * heights of the fences in the two-metre school. On a turn that costs the strides are shorter.
 * @returns the marks in order along the leg, in a gap with a pole in it from before its start; none where no count is rated
 */
export function legMarks(leg: ReckonedLeg, distance: DistanceCase, reading: HorseReading): HoofMark[] {
  const strides = shownCount(reading);
  if (strides === null || leg.groundM === 0) return [];
  // Where a pole lies in the gap, the strides begin behind the fence before it: before this leg.
  const { cost, chain } = leg.gap ?? leg;
  const beforeM = chain.lengthM - leg.chain.lengthM;
  const { countedM } = cost;
  const { landingM, takeOffM } = jumpGround(countedM, strides, distance, reading.normalM);
  const startM = ridingDepthM(distance.from) / 2;
  const strideM = strides === 0 ? 0 : (countedM - landingM - takeOffM) / strides;
  return Array.from({ length: strides + 1 }, (_, index) => {
    const onWayM = Math.min(chain.lengthM, startM + alongCounted(cost, landingM + index * strideM));
    const kind = index === 0 ? 'landing' : index === strides ? 'take-off' : 'stride';
    return { kind, alongM: onWayM - beforeM, pose: poseAt(chain, onWayM) };
  });
}

/** How much of a ground is landing and how much take-off. With no stride between, the foot falls where they meet. */
function jumpGround(groundM: number, strides: number, distance: DistanceCase, normalM: number) {
  const allowances = {
    landingM: jumpAllowanceM(ridingHeightM(distance.from), normalM),
    takeOffM: jumpAllowanceM(ridingHeightM(distance.to), normalM),
  };
  const both = allowances.landingM + allowances.takeOffM;
  const { fixed, perStride, keepsFixed } = distanceRule(distance);
  if (keepsFixed) {
    const share = strides === 0 ? groundM / both : Math.min(1, groundM / both);
    return { landingM: allowances.landingM * share, takeOffM: allowances.takeOffM * share };
  }
  const jumpM = strides === 0 ? groundM : (groundM * fixed) / (fixed + strides * perStride);
  return { landingM: jumpM / 2, takeOffM: jumpM / 2 };
}

/** A turn of a track, with the lead that carries it. */
export type LeadMark = { lead: Rein; alongM: number; pose: Pose };

/** Less turning than this is steering, and says nothing of a lead (common practice, no source). */
const LEAST_TURN_RAD = Math.PI / 8;

/** In the middle of each turn of a track, the lead that a horse should canter it on. */
export function leadMarks(chain: Chain): LeadMark[] {
  const marks: LeadMark[] = [];
  let beforeM = 0;
  for (const segment of chain.segments) {
    const lengthM = segmentLengthM(segment);
    if (segment.kind === 'arc' && Math.abs(segment.sweepRad) >= LEAST_TURN_RAD) {
      const alongM = beforeM + lengthM / 2;
      marks.push({ lead: segment.sweepRad > 0 ? 'left' : 'right', alongM, pose: poseAt(chain, alongM) });
    }
    beforeM += lengthM;
  }
  return marks;
}
