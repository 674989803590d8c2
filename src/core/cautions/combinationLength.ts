import { totalTurnRad } from '../geometry/chain';
import { settingAt } from '../layout/layoutStrides';
import {
  allLegs,
  fromTo,
  legOfCaution,
  metresBy,
  riddenItem,
  sentence,
  type CautionContext,
  type CautionRule,
  type LegInTrack,
} from './cautionRule';
import { ROUNDING } from './cautionLimits';
import { groundMends } from './distanceMends';

const IN_LINE_RAD = Math.PI / 36;

/** Whether a leg is ridden as a combination: two fences in line, on a course, in one stride or two. */
function isCombination({ layout, limits }: CautionContext, { leg, plan, index }: LegInTrack): boolean {
  const both = [leg.from, leg.to].map(id => riddenItem(layout, id)?.kind);
  if (settingAt(plan.gait, plan.legs[index]!) !== 'course' || both.some(kind => kind !== 'fence')) return false;
  if (totalTurnRad(leg.chain) > IN_LINE_RAD) return false;
  return leg.readings.some(({ horse, options, asked }) => {
    const tall = layout.horses.some(({ name, heightM }) => name === horse && heightM > limits.combination.horsesOverM);
    const nearest = options.reduce((a, b) => (Math.abs(b.q - 1) < Math.abs(a.q - 1) ? b : a), options[0]!);
    const strides = asked?.strides ?? nearest?.strides;
    return tall && (strides === 1 || strides === 2);
  });
}

/** A double or treble of a course outside what competitions allow (FEI Jumping Rules, Art. 212, from memory). */
export const combinationLength: CautionRule = {
  code: 'combination-length',
  find: context => {
    const { leastM, mostM } = context.limits.combination;
    return allLegs(context).flatMap(leg => {
      const { groundM, from, to } = leg.leg;
      const within = groundM >= leastM - ROUNDING && groundM <= mostM + ROUNDING;
      if (within || !isCombination(context, leg)) return [];
      return [
        {
          code: 'combination-length',
          level: 'note',
          items: [from, to],
          place: { track: leg.plan.id, part: leg.index },
          text: `${sentence(fromTo(context, leg.leg))} is ${metresBy(groundM, groundM < leastM ? leastM : mostM)}: inside a combination, competitions allow ${leastM} to ${mostM} m.`,
          mend: `Set them ${groundM < leastM ? leastM : mostM} m apart, or call it a line of its own.`,
        },
      ];
    });
  },
  mends: (context, caution) => {
    const leg = legOfCaution(context, caution);
    if (!leg) return [];
    const { leastM, mostM } = context.limits.combination;
    return groundMends(context, leg, { by: 'tape', lengthM: leg.leg.groundM < leastM ? leastM : mostM });
  },
};
