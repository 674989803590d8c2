import { mirroredPoint, mirroredPose, pointInFrame, poseInFrame } from '../geometry/frame';
import type { Pose } from '../geometry/pose';
import { carryItem, carryTrack, type Carry } from './carry';
import type { LaidExercise } from './exercise';

/** The mirror image of an exercise in its own frame: the other rein. */
export function mirrorExercise(exercise: LaidExercise): LaidExercise {
  return carryExercise(exercise, { point: mirroredPoint, pose: mirroredPose, swaps: true });
}

/** An exercise put on the sand. */
export function exerciseAt(exercise: LaidExercise, place: Pose): LaidExercise {
  return carryExercise(exercise, {
    point: point => pointInFrame(place, point),
    pose: pose => poseInFrame(place, pose),
    swaps: false,
  });
}

function carryExercise(exercise: LaidExercise, carry: Carry): LaidExercise {
  return {
    ...exercise,
    items: exercise.items.map(item => carryItem(item, carry)),
    tracks: exercise.tracks.map(track => carryTrack(track, carry)),
    stand: carry.point(exercise.stand),
  };
}
