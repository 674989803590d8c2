import type { Arena } from '../arena/arena';
import { smallestRadiusM } from '../geometry/chain';
import type { Pose } from '../geometry/pose';
import { mayRideFromBehind, ridingPose } from '../items/footprint';
import type { RiddenItem } from '../items/item';
import { naturalLeg, type LegGround } from '../track/leg';

/** An item in the order of a course; `reversed` null leaves the direction open. */
export type CourseStop = { item: RiddenItem; reversed: boolean | null };

/**
 * Which way to ride each item of a course so that the natural tracks are shortest in all without a turn that the gait
 * does not carry, where its direction is open and it may be ridden both ways. Poles may, fences where they are built for it.
 */
export function bestDirections(stops: readonly CourseStop[], arena: Arena, gaitRadiusM: number): boolean[] {
  const ground: LegGround = { arena, smallestRadiusM: gaitRadiusM, strideM: 0 };
  /** For each way of riding the last stop so far: the shortest length there, and the ways that lead to it. */
  let best = new Map<boolean, { lengthM: number; ways: boolean[] }>();
  for (const [index, stop] of stops.entries()) {
    const next = new Map<boolean, { lengthM: number; ways: boolean[] }>();
    for (const way of waysOf(stop)) {
      const pose = ridingPose(stop.item, way);
      if (index === 0) next.set(way, { lengthM: 0, ways: [way] });
      for (const [lastWay, { lengthM, ways }] of best) {
        const from = ridingPose(stops[index - 1]!.item, lastWay);
        const totalM = lengthM + costM(from, pose, ground);
        if (totalM < (next.get(way)?.lengthM ?? Infinity)) next.set(way, { lengthM: totalM, ways: [...ways, way] });
      }
    }
    best = next;
  }
  return [...best.values()].sort((a, b) => a.lengthM - b.lengthM)[0]?.ways ?? [];
}

/** A turn tighter than the gait carries costs more than any detour. */
const TOO_TIGHT_M = 1000;

function costM(from: Pose, to: Pose, ground: LegGround): number {
  const { chain, instead } = naturalLeg(from, to, ground);
  const tight = (smallestRadiusM(chain) ?? Infinity) < ground.smallestRadiusM * (1 - 1e-9);
  return chain.lengthM + (tight || instead ? TOO_TIGHT_M : 0);
}

function waysOf({ item, reversed }: CourseStop): boolean[] {
  if (reversed !== null) return [reversed];
  return mayRideFromBehind(item) ? [false, true] : [false];
}
