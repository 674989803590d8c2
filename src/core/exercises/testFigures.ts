import type { Arena } from '../arena/arena';
import { rideFigure } from '../figures/rideFigure';
import { leavesPose as leaves } from '../figures/rideSession';
import { poseAt } from '../geometry/chain';
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

/** For tests: what of the sand each figure of an exercise is ridden on, how far it is, rounded to the centimetre. */
export function sandOf(arena: Arena, kind: string, params: ExerciseParams) {
  const track = figureTrackOf(arena, kind, params);
  return track.figures.map(planned => {
    const ride = rideFigure(planned, track.gait, arena);
    if (!ride.ok) throw new RangeError(`${kind}: ${ride.reason}`);
    const chains = ride.pieces.flatMap(piece => (piece.kind === 'stretch' ? [piece.chain] : []));
    const places = chains.flatMap(chain =>
      Array.from({ length: 2001 }, (_, step) => poseAt(chain, (chain.lengthM * step) / 2000).at),
    );
    const [xs, ys] = [places.map(({ xM }) => xM), places.map(({ yM }) => yM)];
    const rounded = (valueM: number) => Math.round(valueM * 100) / 100 + 0;
    return {
      x: [Math.min(...xs), Math.max(...xs)].map(rounded),
      y: [Math.min(...ys), Math.max(...ys)].map(rounded),
      lengthM: rounded(chains.reduce((sum, { lengthM }) => sum + lengthM, 0)),
      gait: planned.gait ?? track.gait,
      parts: planned.parts,
    };
  });
}
