import { pointAlong, type PointM } from '../geometry/pointM';
import type { ItemTrack, Layout } from './layout';
import { applyEdits, type LayoutEdit } from './layoutEdit';
import { countedGroundM, hasPoledGap, reckonItemTrack } from './reckonLayout';
import { shiftItems } from './shiftItems';

const CLOSE_M = 1e-7;
const MOST_STEPS = 40;

/** How long a leg is to be, metres: by the tape, or as it counts for strides, with what its turns cost. */
export type GroundWish = { by: 'tape' | 'count'; lengthM: number };

export type MovedLine =
  | { ok: true; edits: LayoutEdit[] }
  /** The ground cannot be made by moving along this line: it turns back on itself, or leaves every track. */
  | { ok: false };

/**
 * The edits that give a leg so much ground, by moving items together along the way the leg comes into its second item.
 * @param moved - the ids to move: those behind the leg to open it forwards, those before it to open it backwards
 * @param forwards - whether they lie behind the leg
 */
export function moveForGround(
  layout: Layout,
  track: ItemTrack,
  leg: number,
  wish: GroundWish,
  moved: readonly string[],
  forwards: boolean,
): MovedLine {
  const direction = lineDirection(layout, track, leg);
  const shift = (byM: number) => shiftItems(layout, moved, pointAlong({ xM: 0, yM: 0 }, direction, byM));
  const sign = forwards ? 1 : -1;
  const missing = (byM: number) => wish.lengthM - groundOfLeg(applyEdits(layout, shift(byM)), track, leg, wish.by);
  let byM = 0;
  let gapM = missing(0);
  // Along the line a metre of moving is about a metre of ground: step by what is missing, and correct by what it did.
  for (let step = 0; step < MOST_STEPS; step += 1) {
    if (Math.abs(gapM) < CLOSE_M) return { ok: true, edits: shift(byM) };
    byM += sign * gapM;
    if (!(Math.abs(byM) < 200)) return { ok: false };
    gapM = missing(byM);
  }
  return { ok: false };
}

function groundOfLeg(layout: Layout, track: ItemTrack, leg: number, by: GroundWish['by']): number {
  // A gap with a pole in it is read from the fence before.
  const first = hasPoledGap(layout, track, leg) ? leg - 1 : leg;
  const alone: ItemTrack = {
    ...track,
    course: null,
    through: track.through.slice(first, leg + 2),
    legs: track.legs.slice(first, leg + 1),
  };
  const ridden = reckonItemTrack(layout, alone).legs[leg - first]!;
  return by === 'tape' ? ridden.groundM : countedGroundM(ridden);
}

/** From the first item of a leg to its second. */
function lineDirection(layout: Layout, track: ItemTrack, leg: number): number {
  const at = (index: number): PointM => layout.items.find(({ id }) => id === track.through[index]!.item)!.at;
  const [from, to] = [at(leg), at(leg + 1)];
  return Math.atan2(to.yM - from.yM, to.xM - from.xM);
}
