import type { Arena } from '../arena/arena';
import { rideFigure } from '../figures/rideFigure';
import { leavesPose as leaves } from '../figures/rideSession';
import type { Pose } from '../geometry/pose';
import type { FigureTrack } from '../layout/layout';
import type { Rein } from '../track/rein';
import type { ExerciseParams } from './exercise';
import { layOutExercise } from './layOutExercise';
import { findRecipe } from './shelf';

/** For tests: the session of an exercise of the shelf in an arena, for a middling horse. */
export function figureTrackOf(arena: Arena, kind: string, params: ExerciseParams, rein: Rein = 'left'): FigureTrack {
  const horse = { id: 'h', name: 'h', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} } as const;
  const recipe = findRecipe(kind)!;
  const ground = { arena, school: 'whole-stride', horses: [horse] } as const;
  const [track] = layOutExercise(recipe, ground, { rein, params }).exercise.tracks;
  if (track?.kind !== 'figures') throw new Error(`${kind} has no figures`);
  return track;
}

/** Where a figure of a session leaves the horse. */
export function leavesPose(arena: Arena, track: FigureTrack, index: number): Pose {
  const ride = rideFigure(track.figures[index]!, track.gait, arena);
  if (!ride.ok) throw new RangeError(ride.reason);
  return leaves(ride.pieces.at(-1)!);
}
