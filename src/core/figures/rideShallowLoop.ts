import { chainOf } from '../geometry/chain';
import type { TrackGait } from '../layout/trackGait';
import { sideOfRein } from '../track/rein';
import type { Figure } from './figure';
import type { FigureRide } from './figureRide';
import { plainStretch } from './stretch';

/**
 * Off the line to `depthM` beside it and back, by four arcs of one radius. Half the loop is an S of two equal arcs that
 * each turn φ with tan(φ/2) = depth ÷ half length. It turns both ways and stays on one rein.
 */
export function rideShallowLoop(figure: Extract<Figure, { kind: 'shallow-loop' }>, gait: TrackGait): FigureRide {
  const { start, rein, lengthM, depthM } = figure;
  const halfM = lengthM / 2;
  const turnRad = 2 * Math.atan2(depthM, halfM);
  if (turnRad > Math.PI / 2) return { ok: false, reason: 'A shallow loop is no deeper than it is long.' };
  const radiusM = halfM / (2 * Math.sin(turnRad));
  const side = sideOfRein(rein);
  const chain = chainOf(start, [
    { kind: 'turn', radiusM, sweepRad: side * turnRad },
    { kind: 'turn', radiusM, sweepRad: -side * 2 * turnRad },
    { kind: 'turn', radiusM, sweepRad: side * turnRad },
  ]);
  return { ok: true, pieces: [plainStretch(chain, gait, rein)] };
}
