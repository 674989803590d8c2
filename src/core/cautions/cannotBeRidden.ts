import { placeWords } from '../arena/placeWords';
import type { Layout } from '../layout/layout';
import type { LayoutEdit } from '../layout/layoutEdit';
import { fittingTurnM } from '../layout/reckonLayout';
import { leastTurnM } from '../track/turnCost';
import type { Caution } from './caution';
import {
  allLegs,
  fromTo,
  legOfCaution,
  metres,
  type CautionContext,
  type CautionRule,
  type LegInTrack,
} from './cautionRule';
import { lineThatWorks } from './lineThatWorks';
import { ringMoves } from './mendMoves';

/** For whom a turn is judged when the layout names nobody. */
const ANYBODY = { level: 'novice', shortShare: 0.75 } as const;

type Cannot = { radiusM: number; leastM: number; who: string };

/** Who cannot carry a turn of a leg, and the tightest turn that all of them can. */
function whoCannot(layout: Layout, { plan, leg }: LegInTrack): Cannot | null {
  const those = leg.readings.flatMap(({ horse, cannot }) => (cannot ? [{ horse, ...cannot }] : []));
  if (those.length > 0)
    return {
      radiusM: those[0]!.radiusM,
      leastM: Math.max(...those.map(({ leastM }) => leastM)),
      who: those.map(({ horse }) => horse).join(', '),
    };
  if (layout.horses.length > 0 || leg.smallestRadiusM === null) return null;
  const leastM = leastTurnM(plan.gait, ANYBODY, fittingTurnM(layout, plan.gait));
  return leg.smallestRadiusM < leastM - 1e-6 ? { radiusM: leg.smallestRadiusM, leastM, who: '' } : null;
}

function mendWords(context: CautionContext, leg: LegInTrack, leastM: number): string {
  const line = lineThatWorks(context, leg, leastM);
  if (!line) return 'Set the two farther apart, turn one of them, or ride it slower.';
  const place = placeWords(context.layout.arena, line.via);
  const radius = line.radiusM === Infinity ? 'straight' : `at ${metres(line.radiusM)} at its tightest`;
  return `There is a line that works: by way of a point ${place}, ${radius}, ${metres(line.lengthM)} long. Or set the two farther apart.`;
}

/** A turn tighter than the gait and the pair carry: no count is called for it. */
export const cannotBeRidden: CautionRule = {
  code: 'cannot-be-ridden',
  find: context =>
    allLegs(context).flatMap((leg): Caution[] => {
      const cannot = whoCannot(context.layout, leg);
      if (!cannot) return [];
      const { radiusM, leastM, who } = cannot;
      const whom = who === '' ? '' : ` by ${who}`;
      return [
        {
          code: 'cannot-be-ridden',
          level: 'stop',
          items: [leg.leg.from, leg.leg.to],
          place: { track: leg.plan.id, part: leg.index },
          text: `The line ${fromTo(context, leg.leg)} cannot be ridden at this gait${whom}: it turns at ${metres(radiusM)}, and ${metres(leastM)} is the tightest it can be.`,
          mend: mendWords(context, leg, leastM),
        },
      ];
    }),
  mends: function* (context, caution): Generator<LayoutEdit[]> {
    const leg = legOfCaution(context, caution);
    const cannot = leg && whoCannot(context.layout, leg);
    if (!leg || !cannot) return;
    const change = (changes: Extract<LayoutEdit, { kind: 'change-leg' }>['changes']): LayoutEdit[] => [
      { kind: 'change-leg', track: leg.plan.id, leg: leg.index, changes },
    ];
    const { track, circle } = leg.plan.legs[leg.index]!;
    if (circle) return yield change({ circle: { ...circle, radiusM: cannot.leastM } });
    if (track !== 'natural') yield change({ track: 'natural' });
    const line = lineThatWorks(context, leg, cannot.leastM);
    if (line) yield change({ track: { via: line.via } });
    yield* ringMoves(context.layout, leg.leg.to, 1, 12);
    yield* ringMoves(context.layout, leg.leg.from, 2, 12);
  },
};
