import type { TrackGait } from '../layout/trackGait';
import { cscChain, cscTrack } from '../track/csc';
import { otherRein, sideOfRein } from '../track/rein';
import type { Figure } from './figure';
import type { FigureRide } from './figureRide';
import { splitByRein } from './splitByRein';

/** No change of rein turns more than half a circle at either end. */
const MOST_TURN_RAD = Math.PI + 1e-6;

/** A turn to the side of the rein, straight on, a turn to the other side: the rein changes halfway along the straight. */
export function rideChangeRein(figure: Extract<Figure, { kind: 'change-rein' }>, gait: TrackGait): FigureRide {
  const { start, end, rein, radiusM } = figure;
  const side = sideOfRein(rein);
  const track = cscTrack(start, end, [side, -side as 1 | -1], radiusM);
  if (!track || Math.max(track.firstTurnRad, track.secondTurnRad) > MOST_TURN_RAD)
    return { ok: false, reason: `The two turns of ${radiusM} m do not fit between the start and the end.` };
  const changeAtM = track.firstTurnRad * radiusM + track.straightM / 2;
  return { ok: true, pieces: splitByRein(cscChain(start, track), changeAtM, gait, rein, otherRein(rein)) };
}
