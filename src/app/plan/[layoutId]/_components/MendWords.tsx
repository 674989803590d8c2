'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { Button, Group } from '@mantine/core';
import type { OfferedMend } from '../_state/offeredMend';
import classes from './MendWords.module.css';

type MendWordsProps = { mend: OfferedMend; onMake: () => void; onLeave: () => void };

/** What a mend would do, in words; on the sand it is drawn beside what stands. */
export function MendWords({ mend, onMake, onLeave }: MendWordsProps) {
  const { format } = useLengths();
  return (
    <span className={classes.mend} role="group" aria-label="What a mend would do">
      <ul>
        {mend.changes.map(({ what, movedM }) => (
          <li key={what}>
            {what}
            {movedM !== null && ` by ${format(movedM)}`}
          </li>
        ))}
        {mend.apart.map(name => (
          <li key={name}>{name} comes apart for it</li>
        ))}
      </ul>
      <Group gap={6}>
        <Button size="compact-xs" onClick={onMake}>
          Make this change
        </Button>
        <Button size="compact-xs" variant="default" onClick={onLeave}>
          Cancel
        </Button>
      </Group>
    </span>
  );
}
