import { useLengths } from '@/components/Lengths/LengthsProvider';
import { paperDegrees } from '@/components/Sand/sandView';
import { pointAlong, poseAt, type ResolvedExercise } from '@/core';
import type { Shown } from '../_state/shown';
import classes from './PlanSand.module.css';
import type { Seen } from './trackShapes';

type GapGripsProps = Seen & { shown: Shown; exercise: ResolvedExercise; onGrow: () => void };

/** The distances of the exercise that is selected, to be dragged, and where one more piece is added. */
export function GapGrips({ shown, exercise, onGrow, view, textM }: GapGripsProps) {
  const { format } = useLengths();
  const track = exercise.laid.tracks[0];
  const reckoned = shown.tracks.find(({ id }) => id === track?.id);
  if (track?.kind !== 'items' || reckoned?.kind !== 'items') return null;
  const sizeM = textM * 0.9;
  // The way back to the first follows from the others.
  const isTyped = (index: number) => typeof track.legs[index]!.track === 'string' && !track.legs[index]!.circle;
  const last = exercise.laid.items.find(({ id }) => id === lastOf(track.through));
  return (
    <>
      {reckoned.legs.map((leg, index) => {
        if (!exercise.can.type || !isTyped(index)) return null;
        const pose = poseAt(leg.chain, leg.chain.lengthM / 2);
        // Beside the way: on it lies what turns the exercise.
        const { x, y } = view.toPaper(pointAlong(pose.at, pose.headingRad - Math.PI / 2, textM * 1.5));
        return (
          <g key={index} className={classes.gap} data-gap={index} data-track={track.id}>
            <title>{`Drag to change the distance: ${format(leg.groundM)}`}</title>
            <circle cx={x} cy={y} r={sizeM * 1.1} className={classes.grip} />
            <path
              d="M-0.75 0H0.75M-0.4 -0.35L-0.75 0L-0.4 0.35M0.4 -0.35L0.75 0L0.4 0.35"
              transform={`translate(${x} ${y}) rotate(${paperDegrees(view, pose.headingRad)}) scale(${sizeM})`}
            />
          </g>
        );
      })}
      {exercise.can.grow && last && 'headingRad' in last && (
        <GrowGrip at={view.toPaper(pointAlong(last.at, last.headingRad, textM * 2.2))} sizeM={sizeM} onGrow={onGrow} />
      )}
    </>
  );
}

/** What is ridden last, not counting the way back to the first. */
function lastOf(through: readonly { item: string }[]): string | undefined {
  const ids = through.map(({ item }) => item);
  return ids.length > 2 && ids.at(-1) === ids[0] ? ids.at(-2) : ids.at(-1);
}

function GrowGrip({ at, sizeM, onGrow }: { at: { x: number; y: number }; sizeM: number; onGrow: () => void }) {
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label="Add one more at the end"
      className={classes.gap}
      data-grow=""
      onClick={onGrow}
      onKeyDown={event => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        event.stopPropagation();
        onGrow();
      }}
    >
      <title>Add one more at the end</title>
      <circle cx={at.x} cy={at.y} r={sizeM} className={classes.growDisc} />
      <path d="M-0.5 0H0.5M0 -0.5V0.5" transform={`translate(${at.x} ${at.y}) scale(${sizeM})`} />
    </g>
  );
}
