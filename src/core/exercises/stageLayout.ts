import type { Layout, PlannedTrack } from '../layout/layout';
import { builtLayout } from '../question/builtLayout';
import { stageState } from '../question/stageState';
import type { ExerciseGround, LaidExercise, Stage } from './exercise';

/** An exercise at one of its stages as a layout: to be reckoned, judged, set and written. */
export function stageLayout(name: string, exercise: LaidExercise, ground: ExerciseGround, stage: Stage): Layout {
  const laid: Layout = {
    ...{ name, arena: ground.arena, fall: null, school: ground.school, horses: [...ground.horses], kit: null },
    ...{ items: exercise.items, tracks: exercise.tracks },
  };
  const built = builtLayout(laid, stageState(exercise, stage));
  return { ...built, tracks: built.tracks.map((track, index) => trackAtStage(track, index, stage)) };
}

/** Counts are asked on the first track. */
function trackAtStage(track: PlannedTrack, index: number, { gait, asked }: Stage): PlannedTrack {
  const ridden = { ...track, gait: gait ?? track.gait };
  if (ridden.kind === 'figures' || index > 0 || asked === null) return ridden;
  return { ...ridden, legs: ridden.legs.map((leg, at) => ({ ...leg, asked: asked[at] ?? null })) };
}
