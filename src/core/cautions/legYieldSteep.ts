import { sidewaysSlopeRad } from '../figures/rideSideways';
import { figureTracks, type CautionRule } from './cautionRule';
import { ROUNDING } from './cautionLimits';

const degrees = (rad: number) => Math.round((rad * 180) / Math.PI);

/** A sideways line so steep that the horse loses the forwards in it. */
export const legYieldSteep: CautionRule = {
  code: 'leg-yield-steep',
  find: context =>
    figureTracks(context).flatMap(({ plan }) =>
      plan.figures.flatMap(({ figure }, index) => {
        if (figure.kind !== 'sideways') return [];
        const slopeRad = sidewaysSlopeRad(figure);
        if (slopeRad <= context.limits.yieldSlopeRad + ROUNDING) return [];
        return [
          {
            code: 'leg-yield-steep' as const,
            level: 'warn' as const,
            items: [],
            place: { track: plan.id, part: index },
            text: `The ${figure.movement} goes off at ${degrees(slopeRad)}°; ${degrees(context.limits.yieldSlopeRad)}° is steep enough.`,
            mend: 'Arrive farther on, or go less far aside.',
          },
        ];
      }),
    ),
  mends: (context, { place }) => {
    const session = figureTracks(context).find(({ plan }) => plan.id === place.track);
    const figure = place.part === null ? null : session?.plan.figures[place.part]?.figure;
    if (figure?.kind !== 'sideways' || place.track === null || place.part === null) return [];
    const slope = Math.tan(context.limits.yieldSlopeRad);
    return [
      { ...figure, aheadM: figure.asideM / slope },
      { ...figure, asideM: figure.aheadM * slope },
    ]
      .filter(({ asideM }) => asideM > 0.1)
      .map(changed => [{ kind: 'change-figure', track: place.track!, index: place.part!, figure: changed }]);
  },
};
