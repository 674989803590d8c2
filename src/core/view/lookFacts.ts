import { turnBetween } from '../geometry/angles';
import { distanceM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import { ridingHeightM, ridingWidthM } from '../items/footprint';
import { isRidden, type RiddenItem } from '../items/item';
import { poseOnTrack } from '../layout/alongTrack';
import type { Scene } from './picture';
import { bearingTo, nextStop, type RiddenTrack } from './riderEye';

/** What a rider has before them, in numbers: what comes next and how it is met, and what else the eye goes to. */
export type LookFacts = {
  next: {
    item: string;
    /** Along the track. */
    farM: number;
    /** Where it lies from straight on, radians, left positive. */
    asideRad: number;
    /** How far from square whoever rode straight at it from here would meet it, radians, 0 or more. */
    offSquareRad: number;
    /** How much of the track before it is straight, metres. */
    straightM: number;
    /** What stands before it as it is looked at, or null. */
    hiddenBy: string | null;
  } | null;
  /** Another fence that looks larger than the next one, and stands near enough to it in the view to be ridden at. */
  drawsTheEye: string | null;
};

/** As wide as what is looked at is seen beside it. */
const BESIDE_RAD = (25 * Math.PI) / 180;
/** What looks so much larger draws the eye. */
const LARGER = 1.25;

/** What a rider has before them so far along a track; null on a track without length. */
export function lookFacts({ items }: Pick<Scene, 'items'>, ridden: RiddenTrack, alongM: number): LookFacts | null {
  const pose = poseOnTrack(ridden.reckoned, alongM);
  if (!pose) return null;
  const next = nextStop({ items }, ridden, alongM);
  if (!next) return { next: null, drawsTheEye: null };
  const others = items.filter((item): item is RiddenItem => isRidden(item) && item.id !== next.item.id);
  const seen = others.map(item => ({ item, ...sizeSeen(pose, item) }));
  const own = sizeSeen(pose, next.item);
  const isBefore = ({ item, asideRad, wideRad }: (typeof seen)[number]) =>
    ridingHeightM(item) > 0.3 &&
    distanceM(pose.at, item.at) < distanceM(pose.at, next.item.at) &&
    Math.abs(turnBetween(own.asideRad, asideRad)) < wideRad / 2;
  const draws = seen
    .filter(one => Math.abs(turnBetween(own.asideRad, one.asideRad)) < BESIDE_RAD && one.size > own.size * LARGER)
    .sort((a, b) => b.size - a.size)[0];
  return {
    next: {
      ...{ item: next.item.id, farM: next.alongM - alongM, asideRad: own.asideRad },
      offSquareRad: Math.abs(turnBetween(next.pose.headingRad, pose.headingRad + own.asideRad)),
      straightM: straightBefore(ridden, next.index),
      hiddenBy: seen.find(isBefore)?.item.id ?? null,
    },
    drawsTheEye: draws?.item.id ?? null,
  };
}

/** The straight ground before a stop; before the first, all that one rides at it. */
function straightBefore({ reckoned }: RiddenTrack, index: number): number {
  if (reckoned.kind !== 'items') return 0;
  return index === 0 ? Infinity : reckoned.legs[index - 1]!.straightInM;
}

/** How large something looks: its front as the eye has it, in square radians, and where. */
function sizeSeen(from: Pose, item: RiddenItem): { asideRad: number; wideRad: number; size: number } {
  const farM = Math.max(0.5, distanceM(from.at, item.at));
  const asideRad = bearingTo(from, { at: item.at, headingRad: 0 });
  const isAhead = Math.abs(asideRad) < Math.PI / 2;
  const metRad = from.headingRad + asideRad - item.headingRad;
  const wideRad = (ridingWidthM(item) * Math.abs(Math.cos(metRad))) / farM;
  const highRad = Math.max(0.1, ridingHeightM(item)) / farM;
  return { asideRad, wideRad, size: isAhead ? wideRad * highRad : 0 };
}
