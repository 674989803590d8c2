import type { LayoutEdit } from '../layout/layoutEdit';
import { layoutStride } from '../layout/layoutStrides';
import type { Caution } from './caution';
import { ROUNDING } from './cautionLimits';
import {
  allLegs,
  called,
  legOfCaution,
  metres,
  metresBy,
  riddenItem,
  sentence,
  type CautionContext,
  type CautionRule,
  type LegInTrack,
} from './cautionRule';
import { groundMends } from './distanceMends';

/** A pole behind a fence lies at least so far from it, metres (practice): for a horse of twelve feet, in proportion for less. */
const LEAST_M = 2.5;
const FOR_STRIDE_M = 3.66;

/** How near a landing pole may lie for the longest stride of the layout's horses. */
function leastM({ layout }: CautionContext): number {
  const strides = layout.horses.flatMap(horse => layoutStride(horse, 'course-canter', 'course')?.normalM ?? []);
  return strides.length === 0 ? LEAST_M : LEAST_M * Math.min(1, Math.max(...strides) / FOR_STRIDE_M);
}

function isLandingPole({ layout }: CautionContext, { leg }: LegInTrack): boolean {
  return riddenItem(layout, leg.from)?.kind === 'fence' && riddenItem(layout, leg.to)?.kind === 'pole';
}

/** A pole that a horse would land on, or be jumping off the ground over, behind a fence. */
export const landingPoleNear: CautionRule = {
  code: 'landing-pole-near',
  find: context =>
    allLegs(context).flatMap((leg): Caution[] => {
      const nearestM = leastM(context);
      if (!isLandingPole(context, leg) || leg.leg.groundM >= nearestM - ROUNDING) return [];
      return [
        {
          code: 'landing-pole-near',
          level: 'warn',
          items: [leg.leg.to, leg.leg.from],
          place: { track: leg.plan.id, part: leg.index },
          text: sentence(
            `${called(context, leg.leg.to)} lies ${metresBy(leg.leg.groundM, nearestM)} behind ${called(context, leg.leg.from)}: a horse lands on it. ${metres(nearestM)} is the least, about 3 m usual.`,
          ),
          mend: 'Roll it out, a little each pass, or take it away.',
        },
      ];
    }),
  mends: function* (context, caution): Generator<LayoutEdit[]> {
    const leg = legOfCaution(context, caution);
    if (leg) yield* groundMends(context, leg, { by: 'tape', lengthM: leastM(context) + 0.1 });
  },
};
