import type { LayoutEdit } from '../layout/layoutEdit';
import { moveForGround, type GroundWish } from '../layout/moveForGround';
import { distanceCaseOf } from '../layout/reckonLayout';
import { layoutStride, settingAt } from '../layout/layoutStrides';
import { offEven } from '../stride/offEven';
import { groupGround } from '../stride/groupGround';
import type { CautionContext, LegInTrack } from './cautionRule';

/** Edits that give a leg so much ground: all behind it moved on, the second item alone, or all before it moved back. */
export function* groundMends({ layout }: CautionContext, leg: LegInTrack, wish: GroundWish): Generator<LayoutEdit[]> {
  const ids = leg.plan.through.map(({ item }) => item);
  const behind = ids.slice(leg.index + 1);
  const before = ids.slice(0, leg.index + 1);
  const choices: { moved: string[]; forwards: boolean }[] = [
    { moved: unique(behind).filter(id => !before.includes(id)), forwards: true },
    { moved: [ids[leg.index + 1]!], forwards: true },
    { moved: unique(before).filter(id => !behind.includes(id)), forwards: false },
    { moved: [ids[leg.index]!], forwards: false },
  ];
  for (const { moved, forwards } of choices) {
    if (moved.length === 0) continue;
    const line = moveForGround(layout, leg.plan, leg.index, wish, moved, forwards);
    if (line.ok) yield line.edits;
  }
}

const unique = (ids: readonly string[]) => [...new Set(ids)];

/** Edits that make the asked count of a leg, or else one of the counts nearest to it, easy for the horses. */
export function* countMends(context: CautionContext, leg: LegInTrack): Generator<LayoutEdit[]> {
  for (const strides of wantedCounts(leg)) {
    const countedM = groundForGroup(context, leg, strides);
    if (countedM !== null) yield* groundMends(context, leg, { by: 'count', lengthM: countedM });
  }
}

/** The ground, as it counts for strides, that serves the horses of a layout best for a count; null where the count is not rated. */
export function groundForGroup({ layout }: CautionContext, leg: LegInTrack, strides: number): number | null {
  const planned = leg.plan.legs[leg.index]!;
  const setting = settingAt(leg.plan.gait, planned);
  const horses = layout.horses.flatMap(horse => layoutStride(horse, leg.plan.gait, setting) ?? []);
  if (horses.length === 0) return null;
  return groupGround(strides, distanceCaseOf(layout, leg.plan, leg.index), horses)?.groundM ?? null;
}

/** The asked count alone; else every count that some horse is near to, the nearest to even first. */
function wantedCounts({ leg, plan, index }: LegInTrack): number[] {
  const asked = plan.legs[index]!.asked;
  if (asked !== null) return [asked];
  const options = leg.readings.flatMap(reading => reading.options);
  return [...new Set(options.sort((a, b) => offEven(a) - offEven(b)).map(({ strides }) => strides))];
}
