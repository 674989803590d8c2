import { pointAlong } from '../geometry/pointM';
import { ridingDepthM, ridingPose } from '../items/footprint';
import type { Fence } from '../items/item';
import type { Layout } from '../layout/layout';
import { layoutStride } from '../layout/layoutStrides';
import type { LayoutEdit } from '../layout/layoutEdit';
import { ROUNDING } from './cautionLimits';
import { groundForGroup } from './distanceMends';
import {
  allLegs,
  called,
  itemTracks,
  metres,
  metresBy,
  riddenItem,
  type CautionContext,
  type CautionRule,
  type TrackOfItems,
} from './cautionRule';
import type { Caution } from './caution';
import { ringMoves } from './mendMoves';
import { roomBeside } from './roomAround';
import { shiftItems } from '../layout/shiftItems';

/** A horse of 12 ft strides, for a layout that names none. */
const USUAL_STRIDE_M = 3.66;

function wantsStraight({ form }: Fence): boolean {
  return form === 'narrow' || form === 'corner';
}

/** The straight ground that a narrow fence or a corner wants before it, for the horse with the longest stride. */
function straightWantedM({ layout, limits }: CautionContext, { plan }: TrackOfItems): number {
  const normals = layout.horses.flatMap(horse => layoutStride(horse, plan.gait, 'course')?.normalM ?? []);
  return limits.straightStrides * (normals.length === 0 ? USUAL_STRIDE_M : Math.max(...normals));
}

/** The straight ground before the item at an index of a track: to the wall behind the first, else the end of its leg. */
function straightBeforeM(layout: Layout, { plan, reckoned }: TrackOfItems, index: number): number {
  if (index > 0) return reckoned.legs[index - 1]!.straightInM;
  return roomBeside(layout, plan.through[0]!, -1)!.roomM;
}

function lastArcRadiusM({ reckoned }: TrackOfItems, index: number): number {
  const arcs = reckoned.legs[index - 1]?.chain.segments.filter(segment => segment.kind === 'arc') ?? [];
  return arcs[arcs.length - 1]?.radiusM ?? Infinity;
}

function judge(context: CautionContext, track: TrackOfItems, index: number): Caution[] {
  const id = track.plan.through[index]!.item;
  const item = riddenItem(context.layout, id);
  if (item?.kind !== 'fence') return [];
  const place = { track: track.plan.id, part: Math.max(0, index - 1) };
  const items = index > 0 ? [track.plan.through[index - 1]!.item, id] : [id];
  if (wantsStraight(item)) {
    const wantedM = straightWantedM(context, track);
    const straightM = straightBeforeM(context.layout, track, index);
    if (straightM >= wantedM - ROUNDING) return [];
    return [
      {
        code: 'not-straight',
        level: 'warn',
        items,
        place,
        text: `Only ${metresBy(straightM, wantedM)} straight before ${called(context, id)}; ${context.limits.straightStrides} strides, ${metres(wantedM)}, are usual before a ${item.form} fence.`,
        mend: 'Move it on along its line, or turn onto it sooner.',
      },
    ];
  }
  const radiusM = lastArcRadiusM(track, index);
  if (radiusM >= context.limits.lastArcRadiusM - ROUNDING) return [];
  return [
    {
      code: 'not-straight',
      level: 'note',
      items,
      place,
      text: `The last turn before ${called(context, id)} has a radius of ${metres(radiusM)}: it leaves little time to see the fence.`,
      mend: 'Move the fence so that the turn before it is rounder.',
    },
  ];
}

/** A fence that is not ridden at straight for long enough, or a tight turn right before one. */
export const notStraight: CautionRule = {
  code: 'not-straight',
  find: context =>
    itemTracks(context).flatMap(track => track.plan.through.flatMap((_, index) => judge(context, track, index))),
  mends: function* (context, caution): Generator<LayoutEdit[]> {
    const { layout } = context;
    const id = caution.items[caution.items.length - 1]!;
    const track = itemTracks(context).find(({ plan }) => plan.id === caution.place.track);
    const item = riddenItem(layout, id);
    const index = track?.plan.through.findIndex(stop => stop.item === id) ?? -1;
    if (!track || !item || index < 0) return;
    const { headingRad } = ridingPose(item, track.plan.through[index]!.reversed);
    const behind = track.plan.through.slice(index).map(stop => stop.item);
    const nothing = { xM: 0, yM: 0 };
    yield* inLineBehind(context, track, index);
    const lackingM = straightWantedM(context, track) - straightBeforeM(layout, track, index);
    for (const moved of [behind, [id]])
      for (const byM of [lackingM, ...STEPS_M]) yield shiftItems(layout, moved, pointAlong(nothing, headingRad, byM));
    for (const turnedRad of TURNS_RAD) yield [{ kind: 'turn-item', item: id, headingRad: item.headingRad + turnedRad }];
    yield* ringMoves(layout, id, 2, 10);
  },
};

/** The fence moved into the line of the one before it, so far on that a whole count is easy and it is straight enough. */
function* inLineBehind(context: CautionContext, track: TrackOfItems, index: number): Generator<LayoutEdit[]> {
  const { layout } = context;
  const before = track.plan.through[index - 1];
  const stop = track.plan.through[index]!;
  const from = before && riddenItem(layout, before.item);
  const item = riddenItem(layout, stop.item);
  const leg = allLegs(context).find(found => found.plan === track.plan && found.index === index - 1);
  if (!before || !from || !item || !leg) return;
  const line = ridingPose(from, before.reversed);
  const turned = { ...item, headingRad: line.headingRad + (stop.reversed ? Math.PI : 0) };
  const ridden = ridingPose(turned, stop.reversed);
  const depthsM = (ridingDepthM(from) + ridingDepthM(item)) / 2;
  for (let strides = context.limits.straightStrides; strides <= MOST_STRIDES; strides += 1) {
    const groundM = groundForGroup(context, leg, strides);
    if (groundM === null) return;
    const there = pointAlong(line.at, line.headingRad, groundM + depthsM);
    // The line runs over the aim, which need not be the middle of the fence.
    const to = { xM: there.xM + item.at.xM - ridden.at.xM, yM: there.yM + item.at.yM - ridden.at.yM };
    yield [
      { kind: 'turn-item', item: item.id, headingRad: turned.headingRad },
      { kind: 'move-item', item: item.id, to },
    ];
  }
}

const MOST_STRIDES = 12;
const STEPS_M = [0.5, 1, 2, 3, 4, 6, 8, 10];
const TURNS_RAD = [5, -5, 10, -10, 20, -20, 30, -30].map(degrees => (degrees * Math.PI) / 180);
