'use client';

import { Card } from '@/components/Card/Card';
import { Group, SegmentedControl, Textarea } from '@mantine/core';
import type { DraftChange, TestDraft } from '../_state/testDraft';
import classes from './StrideTestBoard.module.css';

type QualityNotesProps = { draft: TestDraft; change: (step: DraftChange) => void };

const QUALITIES = [
  { key: 'rhythm', label: 'Rhythm' },
  { key: 'roundness', label: 'Roundness' },
  { key: 'balance', label: 'Balance' },
] as const;

/** How it went, apart from the count: the same count with a better rhythm is progress. */
export function QualityNotes({ draft, change }: QualityNotesProps) {
  return (
    <Card label="How it went" title="How it went">
      <Group gap="md">
        {QUALITIES.map(({ key, label }) => (
          <div key={key}>
            <span className={classes.label}>{label}</span>
            <SegmentedControl
              aria-label={label}
              value={draft[key] === null ? '' : String(draft[key])}
              onChange={score => change({ kind: 'set', changes: { [key]: score === '' ? null : Number(score) } })}
              data={[{ value: '', label: '–' }, ...['1', '2', '3', '4', '5'].map(value => ({ value, label: value }))]}
            />
          </div>
        ))}
      </Group>
      <Textarea
        mt="sm"
        label="A word of note"
        autosize
        maxLength={500}
        value={draft.note}
        onChange={event => change({ kind: 'set', changes: { note: event.currentTarget.value } })}
      />
    </Card>
  );
}
