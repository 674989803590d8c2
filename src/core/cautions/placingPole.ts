import { distanceCaseOf } from '../layout/reckonLayout';
import { distanceRule } from '../stride/distanceRule';
import { readCount } from '../stride/readDistance';
import { layoutStride } from '../layout/layoutStrides';
import { groundForGroup, groundMends } from './distanceMends';
import {
  allLegs,
  called,
  legOfCaution,
  metres,
  riddenItem,
  sentence,
  type CautionContext,
  type CautionRule,
  type LegInTrack,
} from './cautionRule';
import { moveForGround } from '../layout/moveForGround';
import type { LayoutEdit } from '../layout/layoutEdit';

/** Whether a leg is a placing pole before a fence: a pole so near that no stride is meant between. */
function isPlacingPole(context: CautionContext, leg: LegInTrack): boolean {
  const { layout } = context;
  const kinds = [leg.leg.from, leg.leg.to].map(id => riddenItem(layout, id)?.kind);
  const { setting } = distanceCaseOf(layout, leg.plan, leg.index);
  if (kinds[0] !== 'pole' || kinds[1] !== 'fence' || setting !== 'grid') return false;
  return leg.leg.readings.every(({ evenCount }) => evenCount < 0.7);
}

/** Whether no horse of the layout can use the pole where it lies. */
function servesNobody(context: CautionContext, leg: LegInTrack): boolean {
  const { layout } = context;
  const distance = distanceCaseOf(layout, leg.plan, leg.index);
  if (distanceRule(distance).zeroStrides === null || layout.horses.length === 0) return false;
  return layout.horses.every(horse => {
    const stride = layoutStride(horse, leg.plan.gait, distance.setting);
    const word = stride && readCount(leg.leg.cost.countedM, 0, distance, stride)?.word;
    return word === 'too tight' || word === 'too far';
  });
}

/** A placing pole at a distance that no horse here can use. */
export const placingPole: CautionRule = {
  code: 'placing-pole',
  find: context =>
    allLegs(context).flatMap(leg => {
      if (!isPlacingPole(context, leg) || !servesNobody(context, leg)) return [];
      const wantedM = groundForGroup(context, leg, 0);
      return [
        {
          code: 'placing-pole',
          level: 'stop',
          items: [leg.leg.from, leg.leg.to],
          place: { track: leg.plan.id, part: leg.index },
          text: `${sentence(called(context, leg.leg.from))} lies ${metres(leg.leg.groundM)} before ${called(context, leg.leg.to)}: no horse here can use it as a placing pole.`,
          mend: wantedM === null ? 'Take it away.' : `Lay it ${metres(wantedM)} before the fence.`,
        },
      ];
    }),
  mends: function* (context, caution): Generator<LayoutEdit[]> {
    const leg = legOfCaution(context, caution);
    const wantedM = leg && groundForGroup(context, leg, 0);
    if (!leg || wantedM === null) return;
    const wish = { by: 'count' as const, lengthM: wantedM };
    const poleAlone = moveForGround(context.layout, leg.plan, leg.index, wish, [leg.leg.from], false);
    if (poleAlone.ok) yield poleAlone.edits;
    yield* groundMends(context, leg, wish);
  },
};
