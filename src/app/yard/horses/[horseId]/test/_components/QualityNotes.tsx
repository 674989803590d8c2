'use client';

import { Card } from '@/components/Card/Card';
import { Choice } from '@/components/Choice';
import { TEST_QUALITIES } from '@/core';
import { Group, Select, Textarea } from '@mantine/core';
import { useState } from 'react';
import type { DraftChange, TestDraft } from '../_state/testDraft';
import classes from './StrideTestBoard.module.css';

type QualityNotesProps = { draft: TestDraft; change: (step: DraftChange) => void };

const capital = (word: string) => word[0]!.toUpperCase() + word.slice(1);

/** How each pass went, apart from its count: the same count with a better rhythm is progress. */
export function QualityNotes({ draft, change }: QualityNotesProps) {
  // The last pass, until somebody chooses another.
  const [wish, setWish] = useState<{ of: string; index: number } | null>(null);
  const last = draft.passes.length - 1;
  const at = wish && wish.of === `${draft.id} ${last}` ? Math.min(wish.index, last) : last;
  const pass = draft.passes[at];
  return (
    <Card label="How it went" title="How it went">
      {pass ? (
        <>
          <Select
            label="Of which pass"
            allowDeselect={false}
            mb="xs"
            value={String(at)}
            data={draft.passes.map(({ pace, count, voided }, index) => ({
              value: String(index),
              label: `${index + 1}. ${pace}, ${voided ? 'void' : `${count} strides`}`,
            }))}
            onChange={index => index !== null && setWish({ of: `${draft.id} ${last}`, index: Number(index) })}
          />
          <Group gap="md">
            {TEST_QUALITIES.map(key => (
              <div key={key}>
                <span className={classes.label}>{capital(key)}</span>
                <Choice
                  aria-label={capital(key)}
                  value={pass[key] ? String(pass[key]) : ''}
                  onChange={score =>
                    change({ kind: 'judge', index: at, quality: { [key]: score === '' ? null : Number(score) } })
                  }
                  data={[
                    { value: '', label: '–' },
                    ...['1', '2', '3', '4', '5'].map(value => ({ value, label: value })),
                  ]}
                />
              </div>
            ))}
          </Group>
        </>
      ) : (
        <p className={classes.quiet}>Keep a pass first: rhythm, roundness and balance are told pass by pass.</p>
      )}
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
