import type { Arena } from '../arena/arena';
import { assertNever } from '../assertNever';
import { chainOf } from '../geometry/chain';
import type { TrackGait } from '../layout/trackGait';
import { applyParts } from './applyParts';
import type { Figure, PlannedFigure } from './figure';
import type { FigureRide } from './figureRide';
import { rideChangeRein } from './rideChangeRein';
import { rideCircle } from './rideCircle';
import { rideEight } from './rideEight';
import { rideHalfCircleReturn } from './rideHalfCircleReturn';
import { rideRailTurnback } from './rideRailTurnback';
import { rideRoundArena } from './rideRoundArena';
import { rideSerpentine } from './rideSerpentine';
import { rideShallowLoop } from './rideShallowLoop';
import { rideSideways } from './rideSideways';
import { rideSpiral } from './rideSpiral';
import { stationAt } from './rideStation';
import { plainStretch } from './stretch';

/** A figure as it is ridden, with what is asked on its parts; or why it cannot be. */
export function rideFigure({ figure, gait, parts }: PlannedFigure, trackGait: TrackGait, arena: Arena): FigureRide {
  const ride = plainRide(figure, gait ?? trackGait, arena);
  return ride.ok ? applyParts(ride.pieces, parts) : ride;
}

function plainRide(figure: Figure, gait: TrackGait, arena: Arena): FigureRide {
  switch (figure.kind) {
    case 'circle':
      return rideCircle(figure, gait);
    case 'spiral':
      return rideSpiral(figure, gait);
    case 'serpentine':
      return rideSerpentine(figure, gait);
    case 'eight':
      return rideEight(figure, gait);
    case 'half-circle-return':
      return rideHalfCircleReturn(figure, gait);
    case 'change-rein':
      return rideChangeRein(figure, gait);
    case 'round-arena':
      return rideRoundArena(figure, gait, arena);
    case 'shallow-loop':
      return rideShallowLoop(figure, gait);
    case 'straight': {
      const chain = chainOf(figure.start, [{ kind: 'straight', lengthM: figure.lengthM }]);
      return { ok: true, pieces: [plainStretch(chain, gait, figure.rein)] };
    }
    case 'sideways':
      return rideSideways(figure, gait);
    case 'rail-turnback':
      return rideRailTurnback(figure, gait);
    case 'station':
      return { ok: true, pieces: [stationAt(figure.start, figure.rein, figure.deed)] };
    default:
      return assertNever(figure);
  }
}
