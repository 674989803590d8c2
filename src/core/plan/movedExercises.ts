import type { FitPiece } from '../fit/pieces';
import { placeMoved } from '../geometry/frame';
import type { Pose } from '../geometry/pose';
import type { Plan } from './plan';

/** The exercises of a plan where their pieces went: each as one, so that it stays what it is. */
export function movedExercises(
  { exercises }: Pick<Plan, 'exercises'>,
  moved: readonly { piece: FitPiece; to: Pose }[],
): Plan['exercises'] {
  return exercises.map(exercise => {
    const went = moved.find(({ piece }) => piece.id === exercise.id);
    return went ? { ...exercise, place: placeMoved(exercise.place, went.piece.pose, went.to) } : exercise;
  });
}
