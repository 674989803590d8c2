'use client';

import { Problem } from '@/components/form/Problem';
import { useAct } from '@/components/form/useAct';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { CroppedSand } from '@/components/Sand/CroppedSand';
import { type Arena } from '@/core';
import type { OwnExercise } from '@/data/queries/ownExercises';
import { Button } from '@mantine/core';
import { useState } from 'react';
import { removeOwnExerciseAction } from '../../shelfActions';
import classes from './ShelfDrawer.module.css';

/** An exercise that the yard kept itself. */
export function OwnCard({ exercise, arena, onTake }: { exercise: OwnExercise; arena: Arena; onTake: () => void }) {
  const say = useSay();
  const [gone, setGone] = useState(false);
  const { act, busy, problem } = useAct('The server does not answer: it stays on the shelf.');
  const middle = { xM: arena.widthM / 2, yM: arena.lengthM / 2 };
  const at = exercise.items.map(item => ({ ...item, at: { xM: item.at.xM + middle.xM, yM: item.at.yM + middle.yM } }));
  if (gone) return null;
  return (
    <li>
      <button type="button" className={classes.card} onClick={onTake}>
        <span className={classes.sketch} aria-hidden="true">
          <CroppedSand arena={arena} items={at} tracks={[]} />
        </span>
        <strong>{say(exercise.title)}</strong>
        <span>
          {say(exercise.purposes.join(', '))} · {exercise.level}
        </span>
      </button>
      <Button
        size="compact-xs"
        variant="subtle"
        color="slate"
        loading={busy}
        onClick={() =>
          act(
            () => removeOwnExerciseAction(exercise.id),
            () => setGone(true),
          )
        }
      >
        Archive {say(exercise.title)}
      </Button>
      <Problem>{problem}</Problem>
    </li>
  );
}
