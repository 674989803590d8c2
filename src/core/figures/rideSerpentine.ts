import { chainEnd, chainOf, type Move } from '../geometry/chain';
import type { Pose } from '../geometry/pose';
import type { TrackGait } from '../layout/trackGait';
import { otherRein, sideOfRein, type Rein } from '../track/rein';
import type { Figure } from './figure';
import type { FigureRide } from './figureRide';
import { plainStretch, type RidePiece } from './stretch';

/**
 * Loops from the middle of a short side: each takes its share of the length, turns as wide as the loop or the half width
 * lets it, and is joined to the next by a straight across the centre line, where the rein changes.
 */
export function rideSerpentine(serpentine: Extract<Figure, { kind: 'serpentine' }>, gait: TrackGait): FigureRide {
  const { start, loops, lengthM, widthM } = serpentine;
  const loopM = lengthM / loops;
  const radiusM = Math.min(loopM, widthM) / 2;
  const pieces: RidePiece[] = [];
  let at: Pose = start;
  let rein: Rein = serpentine.rein;
  for (let loop = 0; loop < loops; loop += 1) {
    const acrossM = widthM / 2 - radiusM;
    const corner: Move = { kind: 'turn', radiusM, sweepRad: (sideOfRein(rein) * Math.PI) / 2 };
    const straight = (metres: number): Move => ({ kind: 'straight', lengthM: Math.max(0, metres) });
    const chain = chainOf(at, [straight(acrossM), corner, straight(loopM - 2 * radiusM), corner, straight(acrossM)]);
    pieces.push(plainStretch(chain, gait, rein));
    at = chainEnd(chain);
    rein = otherRein(rein);
  }
  return { ok: true, pieces };
}
