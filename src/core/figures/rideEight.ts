import { chainOf } from '../geometry/chain';
import type { TrackGait } from '../layout/trackGait';
import { otherRein, sideOfRein } from '../track/rein';
import type { Figure } from './figure';
import type { FigureRide } from './figureRide';
import { plainStretch } from './stretch';

/** Two circles that touch where the figure starts: one on each rein, of one size or of two. */
export function rideEight(eight: Extract<Figure, { kind: 'eight' }>, gait: TrackGait): FigureRide {
  const { start, rein, firstDiameterM, secondDiameterM, times } = eight;
  const round = (diameterM: number, onRein: typeof rein) =>
    plainStretch(
      chainOf(start, [{ kind: 'turn', radiusM: diameterM / 2, sweepRad: sideOfRein(onRein) * 2 * Math.PI }]),
      gait,
      onRein,
    );
  const once = [round(firstDiameterM, rein), round(secondDiameterM, otherRein(rein))];
  return { ok: true, pieces: Array.from({ length: times }, () => once).flat() };
}
