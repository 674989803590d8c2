import type { Arena } from '../arena/arena';
import type { TrackGait } from '../layout/trackGait';
import type { Figure } from './figure';
import { rideFigure } from './rideFigure';

/**
 * How long a figure is as it is ridden, metres.
 * @throws {RangeError} one that cannot be ridden there
 */
export function figureLengthM(arena: Arena, figure: Figure, gait: TrackGait): number {
  const ride = rideFigure({ id: 'one', name: null, figure, gait, parts: [] }, gait, arena);
  if (!ride.ok) throw new RangeError(`figureLengthM: ${ride.reason}`);
  return ride.pieces.reduce((sum, piece) => sum + (piece.kind === 'stretch' ? piece.chain.lengthM : 0), 0);
}
