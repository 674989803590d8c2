import { strideMarks, type StrideMark } from '../figures/strideMarks';
import type { RidePiece } from '../figures/stretch';
import type { Layout } from './layout';
import { laneStride } from './layoutStrides';

export type HorseStrides = { horse: string; marks: StrideMark[] };

/** Where the strides of each horse of a layout fall along a session, by its strides in the lane. */
export function sessionStrides({ horses }: Layout, pieces: readonly RidePiece[]): HorseStrides[] {
  return horses.map(horse => ({ horse: horse.name, marks: strideMarks(pieces, gait => laneStride(horse, gait)) }));
}
