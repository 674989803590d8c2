import { pointAlong } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import type { TrackGait } from '../layout/trackGait';
import { cscChain, cscTrack } from '../track/csc';
import { otherRein, sideOfRein } from '../track/rein';
import type { Figure } from './figure';
import type { FigureRide } from './figureRide';
import { splitByRein } from './splitByRein';

/**
 * Half a circle off the line and slanting back to it, so that one arrives `returnM` behind the start and faces the
 * other way; or the slant first and the half circle back, which arrives as far ahead.
 */
export function rideHalfCircleReturn(
  figure: Extract<Figure, { kind: 'half-circle-return' }>,
  gait: TrackGait,
): FigureRide {
  const { start, rein, diameterM, returnM, lineFirst } = figure;
  if (returnM < diameterM)
    return { ok: false, reason: `The way back has to be as long as the half circle is wide: ${diameterM} m.` };
  const side = sideOfRein(rein);
  const end: Pose = {
    at: pointAlong(start.at, start.headingRad, lineFirst ? returnM : -returnM),
    headingRad: start.headingRad + Math.PI,
  };
  const track = cscTrack(start, end, [side, -side as 1 | -1], diameterM / 2);
  if (!track) return { ok: false, reason: 'The way back is too short for this half circle.' };
  const firstM = track.firstTurnRad * track.radiusM;
  const changeAtM = lineFirst ? firstM + track.straightM : firstM;
  return { ok: true, pieces: splitByRein(cscChain(start, track), changeAtM, gait, rein, otherRein(rein)) };
}
