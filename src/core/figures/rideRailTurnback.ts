import { chainEnd, chainOf } from '../geometry/chain';
import type { Pose } from '../geometry/pose';
import type { TrackGait } from '../layout/trackGait';
import { otherRein, sideOfRein } from '../track/rein';
import { bodyAngleRad } from './bodyAngle';
import type { Figure } from './figure';
import type { FigureRide } from './figureRide';
import { sidewaysStretch } from './rideSideways';
import { stationAt } from './rideStation';
import { plainStretch } from './stretch';

/**
 * Along the rail in counter shoulder-in, a few steps of yielding off it, the forehand round the haunches towards the
 * rail, yielding back to it the other way, and straight on: two triangles joined at their tips.
 */
export function rideRailTurnback(figure: Extract<Figure, { kind: 'rail-turnback' }>, gait: TrackGait): FigureRide {
  const { start, rein, alongM, offM, asideM } = figure;
  const straight = (from: Pose) => chainOf(from, [{ kind: 'straight', lengthM: alongM }]);
  const back = otherRein(rein);
  const along = {
    ...plainStretch(straight(start), gait, rein),
    sideways: { movement: 'counter-shoulder-in' as const, bodyRad: bodyAngleRad('counter-shoulder-in', rein) },
  };
  const line = { movement: 'leg-yield' as const, aheadM: offM, asideM };
  const off = sidewaysStretch(chainEnd(along.chain), { ...line, towards: rein }, gait, rein);
  const tip: Pose = { at: chainEnd(off.chain).at, headingRad: start.headingRad };
  const turn = stationAt(tip, back, { kind: 'turn-on-haunches', turnRad: -sideOfRein(rein) * Math.PI });
  // Facing the other way, the rail lies to the side that was the inside.
  const home = sidewaysStretch(turn.leaves, { ...line, towards: rein }, gait, back);
  const rail: Pose = { at: chainEnd(home.chain).at, headingRad: turn.leaves.headingRad };
  return { ok: true, pieces: [along, off, turn, home, plainStretch(straight(rail), gait, back)] };
}
