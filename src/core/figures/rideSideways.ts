import { chainOf } from '../geometry/chain';
import { pointAlong, type PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import type { TrackGait } from '../layout/trackGait';
import { sideOfRein, type Rein } from '../track/rein';
import type { Figure, SidewaysMovement } from './figure';
import type { FigureRide } from './figureRide';
import { plainStretch, type Stretch } from './stretch';

/** The slope of a sideways line: how far its path leaves the way the horse faces, radians. */
export function sidewaysSlopeRad({ aheadM, asideM }: { aheadM: number; asideM: number }): number {
  return Math.atan2(asideM, aheadM);
}

/** A straight line forwards and sideways; the body keeps the heading it began with. */
export function sidewaysStretch(
  start: Pose,
  line: { movement: SidewaysMovement; towards: Rein; aheadM: number; asideM: number },
  gait: TrackGait,
  rein: Rein,
): Stretch {
  const pathRad = sideOfRein(line.towards) * sidewaysSlopeRad(line);
  const lengthM = Math.hypot(line.aheadM, line.asideM);
  const chain = chainOf({ at: start.at, headingRad: start.headingRad + pathRad }, [{ kind: 'straight', lengthM }]);
  return { ...plainStretch(chain, gait, rein), sideways: { movement: line.movement, bodyRad: -pathRad } };
}

/** Where a sideways line ends on the sand. */
export function sidewaysEnd({ start, towards, aheadM, asideM }: SidewaysLine): PointM {
  const asideRad = start.headingRad + (sideOfRein(towards) * Math.PI) / 2;
  return pointAlong(pointAlong(start.at, start.headingRad, aheadM), asideRad, asideM);
}

type SidewaysLine = Pick<Extract<Figure, { kind: 'sideways' }>, 'start' | 'towards' | 'aheadM' | 'asideM'>;

export function rideSideways(figure: Extract<Figure, { kind: 'sideways' }>, gait: TrackGait): FigureRide {
  return { ok: true, pieces: [sidewaysStretch(figure.start, figure, gait, figure.rein)] };
}
