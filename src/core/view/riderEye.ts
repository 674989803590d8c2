import { turnBetween } from '../geometry/angles';
import type { Pose } from '../geometry/pose';
import { ridingPose } from '../items/footprint';
import { isRidden, type RiddenItem } from '../items/item';
import { poseOnTrack, stopsAlongM } from '../layout/alongTrack';
import type { PlannedTrack } from '../layout/layout';
import type { ReckonedTrack } from '../layout/reckonedTrack';
import type { Scene } from './picture';
import type { Camera } from './camera';
import { above } from './spot';

/** A rider’s eye is so far over the horse’s withers (common practice, no source): settable. */
export const EYE_OVER_WITHERS_M = 0.85;
/** Where nobody rides yet: a horse of middle size. */
export const USUAL_HEIGHT_M = 1.6;
/** As wide as one sees things sharply enough to ride at them. */
export const EYE_WIDE_RAD = Math.PI / 3;
/** One looks a little down over the horse’s ears. */
const EYE_DOWN_RAD = (6 * Math.PI) / 180;

/** Where the rider looks: straight on along the track, or at what comes next. */
export type Look = 'ahead' | 'next';

export type EyeWish = { eyeM: number; look: Look; aspect: number; wideRad?: number };

/** A track as it is planned and as it is reckoned. */
export type RiddenTrack = { track: PlannedTrack; reckoned: ReckonedTrack };

/** What comes next on a track: what is ridden over, from which side, and how far it is along the track. */
export type NextStop = { item: RiddenItem; pose: Pose; alongM: number; index: number };

/**
 * The eye of a rider so far along a track; before the first thing, straight before it.
 * @returns null on a track without length
 */
export function riderCamera(
  { items }: Pick<Scene, 'items'>,
  ridden: RiddenTrack,
  alongM: number,
  wish: EyeWish,
): Camera | null {
  const pose = poseOnTrack(ridden.reckoned, alongM);
  if (!pose) return null;
  const next = nextStop({ items }, ridden, alongM);
  const looksAt = wish.look === 'next' && next ? bearingTo(pose, next.pose) : 0;
  return {
    eye: above(pose.at, wish.eyeM),
    headingRad: pose.headingRad + looksAt,
    downRad: EYE_DOWN_RAD,
    wideRad: wish.wideRad ?? EYE_WIDE_RAD,
    aspect: wish.aspect,
  };
}

/** What is ridden over next, or null behind the last and in a session. */
export function nextStop(
  { items }: Pick<Scene, 'items'>,
  { track, reckoned }: RiddenTrack,
  alongM: number,
): NextStop | null {
  if (track.kind !== 'items' || reckoned.kind !== 'items') return null;
  const stops = stopsAlongM(reckoned);
  const index = stops.findIndex(stopM => stopM > alongM + 0.01);
  const stop = track.through[index];
  const item = items.find(({ id }) => id === stop?.item);
  if (!stop || !item || !isRidden(item)) return null;
  return { item, pose: ridingPose(item, stop.reversed), alongM: stops[index]!, index };
}

/** How far to the left of straight on something lies, radians; to the right is negative. */
export function bearingTo(from: Pose, to: Pose): number {
  return turnBetween(from.headingRad, Math.atan2(to.at.yM - from.at.yM, to.at.xM - from.at.xM));
}
