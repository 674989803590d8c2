import { chainEnd, chainOf } from '../geometry/chain';
import type { Pose } from '../geometry/pose';
import type { TrackGait } from '../layout/trackGait';
import { otherRein, sideOfRein, type Rein } from '../track/rein';
import { bodyAngleRad } from './bodyAngle';
import type { Figure } from './figure';
import type { FigureRide } from './figureRide';
import { sidewaysStretch } from './rideSideways';
import { stationAt } from './rideStation';
import { plainStretch, type RidePiece } from './stretch';

/**
 * Along the rail in counter shoulder-in, a few steps of yielding off it, the forehand round the haunches towards the rail, and
 * yielding back to it on the other side of the tip: a triangle that stands on the rail. The same at the other end, so that
 * one comes out facing the way one began.
 */
export function rideRailTurnback(figure: Extract<Figure, { kind: 'rail-turnback' }>, gait: TrackGait): FigureRide {
  const { start, rein, alongM, offM } = figure;
  const there = turnedAtEnd(start, figure, { gait, rein, alongM });
  const back = turnedAtEnd(there.leaves, figure, {
    ...{ gait, rein: otherRein(rein) },
    alongM: Math.max(0, alongM - offM),
  });
  return { ok: true, pieces: [...there.pieces, ...back.pieces] };
}

type Way = { gait: TrackGait; rein: Rein; alongM: number };

/** Along the rail from a pose, off it, round, and back on it, facing where one came from. */
function turnedAtEnd(
  start: Pose,
  { offM, asideM }: Pick<Extract<Figure, { kind: 'rail-turnback' }>, 'offM' | 'asideM'>,
  { gait, rein, alongM }: Way,
): { pieces: RidePiece[]; leaves: Pose } {
  const chain = chainOf(start, [{ kind: 'straight', lengthM: alongM }]);
  const movement = 'counter-shoulder-in' as const;
  const along = { ...plainStretch(chain, gait, rein), sideways: { movement, bodyRad: bodyAngleRad(movement, rein) } };
  const line = { movement: 'leg-yield' as const, towards: rein, asideM };
  const corner: Pose = { at: chainEnd(chain).at, headingRad: start.headingRad };
  const off = sidewaysStretch(corner, { ...line, aheadM: offM }, gait, rein);
  const tip: Pose = { at: chainEnd(off.chain).at, headingRad: start.headingRad };
  const turn = stationAt(tip, otherRein(rein), { kind: 'turn-on-haunches', turnRad: -sideOfRein(rein) * Math.PI });
  // Facing the other way, the rail lies to the side that was the inside. Twice as far home as off: past the corner.
  const home = sidewaysStretch(turn.leaves, { ...line, aheadM: 2 * offM }, gait, otherRein(rein));
  const leaves: Pose = { at: chainEnd(home.chain).at, headingRad: turn.leaves.headingRad };
  return { pieces: [...(alongM > 0 ? [along] : []), off, turn, home], leaves };
}
