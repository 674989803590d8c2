import { paperDegrees, type SandView } from '@/components/Sand/sandView';
import { poseOnTrack, type ReckonedTrack } from '@/core';
import classes from './PlanSand.module.css';

type WalkerProps = { track: ReckonedTrack | undefined; walkedM: number; view: SandView; textM: number };

/** The pair on its way round a track: a long drop, pointed at the back. */
export function Walker({ track, walkedM, view, textM }: WalkerProps) {
  const pose = track && poseOnTrack(track, walkedM);
  if (!pose) return null;
  const { x, y } = view.toPaper(pose.at);
  return (
    <path
      d="M0.9 0Q0.9 0.5 0.2 0.5Q-0.6 0.45 -1.5 0Q-0.6 -0.45 0.2 -0.5Q0.9 -0.5 0.9 0"
      transform={`translate(${x} ${y}) rotate(${paperDegrees(view, pose.headingRad)}) scale(${textM})`}
      className={classes.walker}
      data-walker=""
    />
  );
}
