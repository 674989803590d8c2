import { arcCentre, segmentLengthM, segmentPoseAt, type Segment } from '../geometry/segment';
import { ridingPose } from '../items/footprint';
import type { LayoutEdit } from '../layout/layoutEdit';
import type { Caution } from './caution';
import { ROUNDING } from './cautionLimits';
import {
  allLegs,
  called,
  fromTo,
  itemTracks,
  legOfCaution,
  metres,
  metresBy,
  riddenItem,
  sentence,
  type CautionContext,
  type CautionRule,
} from './cautionRule';
import { ringMoves } from './mendMoves';
import { landing } from './roomAround';
import { moveLine, roomOfCaution } from './roomShort';

/** Common practice, no source: downhill a horse wants half as much room again to land and pull up. */
const MORE_ROOM_DOWNHILL = 1.5;

/** How much the ground falls to the outside of a turn where it falls most, percent; 0 where it never does. */
function outwardPercent(arc: Extract<Segment, { kind: 'arc' }>, fall: { headingRad: number; percent: number }): number {
  const lengthM = segmentLengthM(arc);
  const centre = arcCentre(arc);
  const outwardAt = (alongM: number) => {
    const { at } = segmentPoseAt(arc, alongM);
    return Math.atan2(at.yM - centre.yM, at.xM - centre.xM);
  };
  const startRad = outwardAt(0);
  // The point of the circle that lies straight downhill, if the arc comes by it; else the nearer end.
  const turn = Math.PI * 2;
  const toFallRad = ((((fall.headingRad - startRad) * Math.sign(arc.sweepRad)) % turn) + turn) % turn;
  if (toFallRad <= Math.abs(arc.sweepRad)) return fall.percent;
  const ends = [startRad, outwardAt(lengthM)].map(rad => Math.cos(rad - fall.headingRad));
  return Math.max(0, fall.percent * Math.max(...ends));
}

function turns(context: CautionContext): Caution[] {
  const { fall } = context.layout;
  const { percent, radiusM } = context.limits.slope;
  if (!fall) return [];
  return allLegs(context).flatMap(({ plan, leg, index }) => {
    const steep = leg.chain.segments.filter(
      segment =>
        segment.kind === 'arc' && segment.radiusM < radiusM - ROUNDING && outwardPercent(segment, fall) >= percent,
    );
    if (steep.length === 0 || plan.gait === 'walk' || plan.gait === 'flat-walk') return [];
    return [
      {
        code: 'against-slope',
        level: 'warn',
        items: [leg.from, leg.to],
        place: { track: plan.id, part: index },
        text: `The turn ${fromTo(context, leg)} goes against the fall of the ground: it wants a radius of ${radiusM} m and more.`,
        mend: 'Give the turn more room, or ride it the other way round.',
      },
    ];
  });
}

function downhill(context: CautionContext): Caution[] {
  const { layout, limits } = context;
  const { fall } = layout;
  if (!fall) return [];
  return itemTracks(context).flatMap(track => {
    const room = landing(context, track);
    const last = track.plan.through[track.plan.through.length - 1]!;
    const item = riddenItem(layout, last.item);
    if (!room || item?.kind !== 'fence') return [];
    const { headingRad } = ridingPose(item, last.reversed);
    const downPercent = fall.percent * Math.cos(headingRad - fall.headingRad);
    const wantedM = MORE_ROOM_DOWNHILL * limits.landingM;
    if (downPercent < limits.slope.percent - ROUNDING || room.roomM >= wantedM - ROUNDING) return [];
    return [
      {
        code: 'against-slope' as const,
        level: 'warn' as const,
        items: [item.id],
        place: { track: track.plan.id, part: null },
        text: `${sentence(called(context, item.id))} is ridden downhill with ${metresBy(room.roomM, wantedM)} behind it; downhill, ${metres(wantedM)} is better.`,
        mend: 'Move the line back, or ride it uphill.',
      },
    ];
  });
}

/** A turn against the fall of the ground, or a last fence that goes downhill, without the room that they want. */
export const againstSlope: CautionRule = {
  code: 'against-slope',
  find: context => [...turns(context), ...downhill(context)],
  mends: function* (context, caution): Generator<LayoutEdit[]> {
    const { layout, limits } = context;
    const leg = caution.place.part === null ? null : legOfCaution(context, caution);
    if (leg) {
      yield* ringMoves(layout, leg.leg.to, 1, 12);
      return yield* ringMoves(layout, leg.leg.from, 2, 12);
    }
    const room = roomOfCaution(context, caution, landing);
    if (room) yield moveLine(context, room, room.roomM - MORE_ROOM_DOWNHILL * limits.landingM);
  },
};
