import { CroppedSand } from '@/components/Sand/CroppedSand';
import { hoofShapes } from '@/components/Sand/hoofShapes';
import type { Shape } from '@/components/Sand/shape';
import {
  laneStride,
  reckonLayout,
  stageLayout,
  strideMarks,
  type ExerciseGround,
  type LaidExercise,
  type Layout,
  type PointM,
  type ReckonedTrack,
  type Stage,
} from '@/core';
import { memo, useMemo } from 'react';
import { legMarksOf } from '../_state/legMarksOf';
import { standShape } from './standShape';
import type { Seen } from './trackShapes';

type ExercisePictureProps = {
  laid: LaidExercise;
  ground: ExerciseGround;
  stage: Stage;
  /** Shows where one stands to watch. */
  withStand?: boolean;
};

/** A stage of an exercise, drawn true and near: what stands, the way over it, and the strides of the first horse. */
export const ExercisePicture = memo(function ExercisePicture({ laid, ground, stage, withStand }: ExercisePictureProps) {
  const layout = useMemo(() => stageLayout('', laid, ground, stage), [laid, ground, stage]);
  const tracks = useMemo(() => reckonLayout(layout), [layout]);
  const stand: PointM[] = withStand ? [laid.stand] : [];
  return (
    <CroppedSand
      arena={ground.arena}
      items={layout.items}
      tracks={tracks}
      more={stand}
      over={seen => [...printShapes(layout, tracks, seen), ...stand.map(at => standShape(at, seen))]}
    />
  );
});

/** The strides of the first horse of a layout along all of its tracks. */
function printShapes(layout: Layout, tracks: readonly ReckonedTrack[], seen: Seen): Shape[] {
  const [horse] = layout.horses;
  if (!horse) return [];
  return tracks.flatMap((reckoned, index) => {
    const track = layout.tracks[index];
    if (reckoned.kind === 'items' && track?.kind === 'items')
      return reckoned.legs.flatMap((leg, at) => {
        const marks = legMarksOf(layout, track, at, leg, horse.id);
        return hoofShapes(marks, leg.groundM / Math.max(1, marks.length), seen);
      });
    if (reckoned.kind !== 'figures' || !reckoned.session.ok) return [];
    const strides = strideMarks(reckoned.session.pieces, gait => laneStride(horse, gait));
    return hoofShapes(strides, strides[0]?.strideM ?? 1, seen);
  });
}
