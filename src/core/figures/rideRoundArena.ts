import type { Arena } from '../arena/arena';
import { joinChains } from '../geometry/chain';
import type { TrackGait } from '../layout/trackGait';
import { alongLoopM, loopPart, railLoop } from '../track/railLoop';
import type { Figure } from './figure';
import type { FigureRide } from './figureRide';
import { plainStretch } from './stretch';

/** Round the arena along the wall as far from it as the start is. */
export function rideRoundArena(
  figure: Extract<Figure, { kind: 'round-arena' }>,
  gait: TrackGait,
  arena: Arena,
): FigureRide {
  const { start, rein, cornerRadiusM, rounds } = figure;
  const { xM, yM } = start.at;
  const insetM = Math.max(0, Math.min(xM, yM, arena.widthM - xM, arena.lengthM - yM));
  if (2 * (insetM + cornerRadiusM) > Math.min(arena.widthM, arena.lengthM))
    return { ok: false, reason: `Corners of ${cornerRadiusM} m do not fit this sand.` };
  const loop = railLoop(arena, rein, cornerRadiusM, insetM);
  const fromM = alongLoopM(loop, start);
  if (fromM === null)
    return { ok: false, reason: 'It does not start along a wall, outside the corners, on the rein that it names.' };
  const round = joinChains([loopPart(loop, fromM, loop.lengthM), loopPart(loop, 0, fromM)]);
  const whole = Math.floor(rounds);
  const chains = [...Array.from({ length: whole }, () => round)];
  const restM = (rounds - whole) * round.lengthM;
  if (restM > 1e-6) chains.push(loopPart(round, 0, restM));
  return { ok: true, pieces: [plainStretch(joinChains(chains), gait, rein)] };
}
