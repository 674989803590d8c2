import { roomAhead } from '../arena/roomAhead';
import { ridingDepthM, ridingPose } from '../items/footprint';
import type { Layout } from '../layout/layout';
import { riddenItem, type CautionContext, type TrackOfItems } from './cautionRule';

/** Room before the first or behind the last item of a track, metres, and where the way to more of it leads. */
export type Room = { item: string; roomM: number; headingRad: number };

/** Whether a track is ridden at canter. */
export function isCantered({ plan }: Pick<TrackOfItems, 'plan'>): boolean {
  return plan.gait === 'canter' || plan.gait === 'course-canter';
}

/** Whether a track comes back to where it began: then it has the ground of its last leg to come in on. */
export function isClosed({ plan }: TrackOfItems): boolean {
  const [first, last] = [plan.through[0]!, plan.through[plan.through.length - 1]!];
  return plan.through.length > 1 && first.item === last.item && first.reversed === last.reversed;
}

/** The room to come in on at canter; null at other gaits, from a trot approach, and where the track comes round. */
export function runUp({ layout }: CautionContext, track: TrackOfItems): Room | null {
  if (!isCantered(track) || isClosed(track) || track.plan.legs[0]?.approach === 'trot') return null;
  return roomBeside(layout, track.plan.through[0]!, -1);
}

/** The room to pull up on at canter; null at other gaits, and where the track comes round. */
export function landing({ layout }: CautionContext, track: TrackOfItems): Room | null {
  if (!isCantered(track) || isClosed(track)) return null;
  return roomBeside(layout, track.plan.through[track.plan.through.length - 1]!, 1);
}

/** The straight room ahead of (1) or behind (−1) an item as it is ridden; null where it is not ridden over. */
export function roomBeside(layout: Layout, stop: { item: string; reversed: boolean }, ahead: 1 | -1): Room | null {
  const item = riddenItem(layout, stop.item);
  if (!item) return null;
  const { at, headingRad } = ridingPose(item, stop.reversed);
  const awayRad = ahead === 1 ? headingRad : headingRad + Math.PI;
  const roomM = Math.max(0, roomAhead(layout.arena, at, awayRad) - ridingDepthM(item) / 2);
  return { item: item.id, roomM, headingRad };
}
