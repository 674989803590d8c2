'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { Card } from '@/components/Card/Card';
import { Choice } from '@/components/Choice';
import { CommitField } from '@/components/CommitField/CommitField';
import { TEST_PACES, type TestPace } from '@/core';
import { Button, Group, Text } from '@mantine/core';
import { ENTRY_LABELS, FOOT_LABELS } from '../../../../entryLabels';
import type { DraftChange, TestDraft } from '../_state/testDraft';
import { useSpaceBar } from '../_state/useSpaceBar';
import classes from './StrideTestBoard.module.css';

type CountPadProps = { draft: TestDraft; change: (step: DraftChange) => void };

const NOT_NOTED = 'none';
const PARTS = [
  { value: '0.25', label: '¼' },
  { value: '0.5', label: '½' },
  { value: '0.75', label: '¾' },
];

/** A tap, or the space bar, each time the named foot lands between the lines; or the count typed. */
export function CountPad({ draft, change }: CountPadProps) {
  const say = useSay();
  useSpaceBar(() => change({ kind: 'tap' }));
  return (
    <Card label="The pass">
      <Choice
        fullWidth
        size="md"
        aria-label="Pace"
        // What is counted is never relabelled.
        disabled={draft.count > 0}
        value={draft.pace}
        onChange={pace => change({ kind: 'pace', pace: pace as TestPace })}
        data={TEST_PACES.map(value => ({ value, label: value[0]!.toUpperCase() + value.slice(1) }))}
      />
      <button type="button" className={classes.pad} onClick={() => change({ kind: 'tap' })}>
        <strong aria-live="polite">{draft.count}</strong>
        <span>
          {say(ENTRY_LABELS[draft.entry]).toLowerCase()}, {draft.pace}: tap, or press the space bar, each time the{' '}
          {FOOT_LABELS[draft.foot]} lands
        </span>
      </button>
      <Group gap="sm" align="flex-end">
        <Button size="sm" px="sm" disabled={draft.count === 0} onClick={() => change({ kind: 'keep', voided: false })}>
          Keep this pass
        </Button>
        <Button
          size="sm"
          px="sm"
          variant="subtle"
          disabled={draft.count === 0}
          onClick={() => change({ kind: 'untap' })}
        >
          One back
        </Button>
        <Button
          size="sm"
          px="sm"
          variant="subtle"
          disabled={draft.count === 0}
          onClick={() => change({ kind: 'start-again' })}
        >
          Count again
        </Button>
      </Group>
      <Group gap="sm" mt="xl">
        <Button size="sm" px="sm" variant="default" onClick={() => change({ kind: 'keep', voided: true })}>
          Void: the gait broke
        </Button>
        {draft.undo.length > 0 && (
          <Button size="sm" px="sm" variant="default" onClick={() => change({ kind: 'undo' })}>
            Take it back
          </Button>
        )}
      </Group>
      <Group gap="md" align="flex-end" mt="sm">
        <CommitField
          label="Or type the count"
          text={draft.count === 0 ? '' : String(draft.count)}
          read={text => {
            const count = /^\s*\d{1,3}\s*$/.test(text) ? Number(text) : Number.NaN;
            return count >= 1 && count <= 200
              ? { ok: true, value: count }
              : { ok: false, reason: 'A count is a whole number from 1 to 200.' };
          }}
          onCommit={count => {
            change({ kind: 'count', count });
            return null;
          }}
        />
      </Group>
      <Group gap="md" align="flex-end" mt="sm">
        <PartField
          label="Foot behind the start, before the first count"
          aria="Part of a stride behind the start"
          part={draft.behind}
          none="On the line"
          onChange={behind => change({ kind: 'behind', behind })}
        />
        <PartField
          label="Left between the last foot and the finish"
          aria="Part of a stride at the finish"
          part={draft.part}
          none="None"
          onChange={part => change({ kind: 'part', part })}
        />
      </Group>
      {(draft.behind === null) !== (draft.part === null) && (
        <Text size="sm" c="dimmed" mt={4}>
          A part at one end alone says next to nothing: note both ends, or neither.
        </Text>
      )}
    </Card>
  );
}

type PartFieldProps = {
  label: string;
  aria: string;
  part: number | null;
  /** What no part at all is called here. */
  none: string;
  onChange: (part: number | null) => void;
};

/** A part of a stride, to the quarter, or that nobody noted one. */
function PartField({ label, aria, part, none, onChange }: PartFieldProps) {
  return (
    <div>
      <span className={classes.label}>{label}</span>
      <Choice
        aria-label={aria}
        value={part === null ? NOT_NOTED : String(part)}
        onChange={chosen => onChange(chosen === NOT_NOTED ? null : Number(chosen))}
        data={[{ value: NOT_NOTED, label: 'Not noted' }, { value: '0', label: none }, ...PARTS]}
      />
    </div>
  );
}
