import { useSay } from '@/components/Lengths/LengthsProvider';
import { ENTRY_LABELS } from '../../../../entryLabels';
import { Button, Group } from '@mantine/core';
import type { DraftChange, TestColumn } from '../_state/testDraft';

type ColumnChoiceProps = {
  columns: readonly TestColumn[];
  chosen: string;
  /** What a horse is called that is not the one whose sheet it is. */
  nameOf: (horseId: string | null) => string | null;
  change: (step: DraftChange) => void;
};

const MOMENTS: Record<TestColumn['moment'], string> = { before: 'before', after: 'after', apart: '' };

/** When a column of this sheet was ridden, as it is said in a sentence that compares with it. */
export const momentDay = (moment: TestColumn['moment']): string =>
  moment === 'before' ? 'before schooling today' : moment === 'after' ? 'after schooling today' : 'earlier today';

/** The columns of the sheet side by side, each with its counts: a tap goes on in one. */
export function ColumnChoice({ columns, chosen, nameOf, change }: ColumnChoiceProps) {
  const say = useSay();
  return (
    <Group gap="xs" role="group" aria-label="Columns of the sheet">
      {columns.map(({ id, horseId, entry, moment, passes }) => {
        const counts = passes.flatMap(({ voided, count, pace }) => (voided ? [] : `${count}${PACE_MARKS[pace]}`));
        const gait = say(ENTRY_LABELS[entry]).replace(' in the lane', '');
        const label = [nameOf(horseId), gait, MOMENTS[moment]].filter(Boolean).join(' ');
        return (
          <Button
            key={id}
            size="sm"
            variant={id === chosen ? 'filled' : 'default'}
            aria-pressed={id === chosen}
            onClick={() => id !== chosen && change({ kind: 'column', id })}
          >
            {label}: {counts.join(', ') || 'none yet'}
          </Button>
        );
      })}
    </Group>
  );
}

const PACE_MARKS = { normal: '', short: ' short', long: ' long' } as const;
