import type { Arena } from '../arena/arena';
import { chainOf, joinChains, nearestOnChain, reversedChain, type Chain, type Move } from '../geometry/chain';
import { chainPart } from '../geometry/chainPart';
import type { Pose } from '../geometry/pose';
import type { Rein } from './rein';

/**
 * Once round along the walls with corners of one radius, from the middle of the near short side.
 * @param insetM - from the walls, ≥ 0
 * @throws {RangeError} corners that do not fit the sand
 */
export function railLoop(arena: Arena, rein: Rein, cornerRadiusM: number, insetM = 0): Chain {
  const [acrossM, alongM] = [arena.widthM - 2 * (insetM + cornerRadiusM), arena.lengthM - 2 * (insetM + cornerRadiusM)];
  if (!(insetM >= 0 && cornerRadiusM > 0 && acrossM >= -1e-9 && alongM >= -1e-9))
    throw new RangeError(`railLoop: corners of ${cornerRadiusM} m, ${insetM} m from the walls`);
  const straight = (lengthM: number): Move => ({ kind: 'straight', lengthM: Math.max(0, lengthM) });
  const corner: Move = { kind: 'turn', radiusM: cornerRadiusM, sweepRad: Math.PI / 2 };
  const start: Pose = { at: { xM: arena.widthM / 2, yM: insetM }, headingRad: 0 };
  const anticlockwise = chainOf(start, [
    ...[straight(acrossM / 2), corner, straight(alongM), corner],
    ...[straight(acrossM), corner, straight(alongM), corner, straight(acrossM / 2)],
  ]);
  return rein === 'left' ? anticlockwise : reversedChain(anticlockwise);
}

/** Where a pose lies on a loop it rides along, metres from the loop's start; null where it is not on it. */
export function alongLoopM(loop: Chain, pose: Pose): number | null {
  const near = nearestOnChain(loop, pose.at);
  const turnedRad = Math.abs(Math.sin((near.pose.headingRad - pose.headingRad) / 2)) * 2;
  return near.awayM < 1e-6 && turnedRad < 1e-6 ? near.alongM : null;
}

/** The piece of a closed loop from one distance along it to another, over its seam where that is behind. */
export function loopPart(loop: Chain, fromM: number, toM: number): Chain {
  if (toM >= fromM) return chainPart(loop, fromM, toM);
  const parts = [chainPart(loop, fromM, loop.lengthM), chainPart(loop, 0, toM)].filter(part => part.lengthM > 0);
  return parts.length === 0 ? chainPart(loop, toM, toM) : joinChains(parts);
}
