import { chainOf } from '../geometry/chain';
import type { TrackGait } from '../layout/trackGait';
import { sideOfRein } from '../track/rein';
import type { Figure } from './figure';
import type { FigureRide } from './figureRide';
import { plainStretch } from './stretch';

/** A circle or a volte: it touches the line one came on at its start. */
export function rideCircle(circle: Extract<Figure, { kind: 'circle' }>, gait: TrackGait): FigureRide {
  const { start, rein, diameterM, rounds } = circle;
  const sweepRad = sideOfRein(rein) * rounds * 2 * Math.PI;
  return {
    ok: true,
    pieces: [plainStretch(chainOf(start, [{ kind: 'turn', radiusM: diameterM / 2, sweepRad }]), gait, rein)],
  };
}
