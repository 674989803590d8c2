import { chainEnd, chainOf, type Move } from '../geometry/chain';
import type { Pose } from '../geometry/pose';
import type { TrackGait } from '../layout/trackGait';
import { otherRein, sideOfRein, type Rein } from '../track/rein';
import type { Figure } from './figure';
import type { FigureRide } from './figureRide';
import { sidewaysStretch } from './rideSideways';
import { plainStretch, type RidePiece } from './stretch';

/** Common practice, no source: a slope of about 32° is forwards enough to yield on. */
export const YIELD_AHEAD_PER_ASIDE = 1.6;

/**
 * Loops from the middle of a short side: each takes its share of the length, turns as wide as the loop or the half width
 * lets it, and is joined to the next by a straight across the centre line, where the rein changes. Where it yields, the
 * first turn of a loop ends inside the line, and the horse yields out to it before the second.
 */
export function rideSerpentine(serpentine: Extract<Figure, { kind: 'serpentine' }>, gait: TrackGait): FigureRide {
  const { start, loops, lengthM, widthM, yieldM = 0 } = serpentine;
  const loopM = lengthM / loops;
  const aheadM = yieldM * YIELD_AHEAD_PER_ASIDE;
  const radiusM = Math.min(loopM - aheadM, widthM - yieldM * 2) / 2;
  if (radiusM <= 0) return { ok: false, reason: 'The loops are too small to yield out of: fewer loops, or less far.' };
  const pieces: RidePiece[] = [];
  let at: Pose = start;
  let rein: Rein = serpentine.rein;
  const ride = (moves: readonly Move[]) => {
    const chain = chainOf(at, moves);
    if (chain.lengthM > 0) pieces.push(plainStretch(chain, gait, rein));
    at = chainEnd(chain);
  };
  for (let loop = 0; loop < loops; loop += 1) {
    const corner: Move = { kind: 'turn', radiusM, sweepRad: (sideOfRein(rein) * Math.PI) / 2 };
    const straight = (metres: number): Move => ({ kind: 'straight', lengthM: Math.max(0, metres) });
    const outM = widthM / 2 - radiusM;
    const alongM = loopM - 2 * radiusM;
    if (yieldM > 0) {
      ride([straight(outM - yieldM), corner, straight((alongM - aheadM) / 2)]);
      const line = { movement: 'leg-yield' as const, towards: otherRein(rein), aheadM, asideM: yieldM };
      const aside = sidewaysStretch(at, line, gait, rein);
      pieces.push(aside);
      at = { at: chainEnd(aside.chain).at, headingRad: at.headingRad };
      ride([straight((alongM - aheadM) / 2), corner, straight(outM)]);
    } else ride([straight(outM), corner, straight(alongM), corner, straight(outM)]);
    rein = otherRein(rein);
  }
  return { ok: true, pieces };
}
