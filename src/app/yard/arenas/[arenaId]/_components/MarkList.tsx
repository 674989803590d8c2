'use client';

import { Card } from '@/components/Card/Card';
import { CommitField, type Read } from '@/components/CommitField/CommitField';
import { LengthField } from '@/components/LengthField/LengthField';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { type ArenaMarks } from '@/files/arenaMarks';
import { Button, Group, TextInput } from '@mantine/core';
import { useState } from 'react';
import classes from './ArenaMarksBoard.module.css';

const number =
  (what: string, least: number, most: number) =>
  (text: string): Read<number> => {
    const value = /^\s*\d{1,3}([.,]\d{1,2})?\s*$/.test(text) ? Number(text.replace(',', '.')) : Number.NaN;
    return value >= least && value <= most
      ? { ok: true, value }
      : { ok: false, reason: `${what}: ${least} to ${most}.` };
  };

/** The marks as text: each to be typed or taken away. */
export function MarkList({ marks, onChange }: { marks: ArenaMarks; onChange: (marks: ArenaMarks) => void }) {
  const { entrance, homeFacingDeg, fall, patches } = marks;
  const { format } = useLengths();
  const none = !entrance && homeFacingDeg === null && !fall && patches.length === 0;
  const changePatch = (id: string, changes: Partial<ArenaMarks['patches'][number]>) =>
    onChange({ ...marks, patches: patches.map(patch => (patch.id === id ? { ...patch, ...changes } : patch)) });
  const away = (label: string, next: ArenaMarks) => (
    <Button
      size="compact-sm"
      variant="subtle"
      flex="none"
      onClick={() => onChange(next)}
      aria-label={`Take away: ${label}`}
    >
      Take away
    </Button>
  );
  return (
    <Card label="Marks" title="Marks">
      <div className={classes.marks}>
        {none && <p className={classes.quiet}>Nothing is marked yet.</p>}
        {entrance && (
          <Group justify="space-between" wrap="nowrap">
            <span>
              Entrance {format(entrance.xM)} across, {format(entrance.yM)} up
            </span>
            {away('the entrance', { ...marks, entrance: null })}
          </Group>
        )}
        {homeFacingDeg !== null && (
          <Group align="flex-end" justify="space-between">
            <CommitField
              label="Home lies at, degrees from straight up"
              text={String(homeFacingDeg)}
              read={number('A direction', 0, 359)}
              onCommit={value => {
                onChange({ ...marks, homeFacingDeg: value });
                return null;
              }}
            />
            {away('the way home', { ...marks, homeFacingDeg: null })}
          </Group>
        )}
        {fall && (
          <Group align="flex-end" justify="space-between">
            <CommitField
              label="The ground falls by, percent"
              text={String(fall.percent)}
              read={number('A fall', 0.1, 30)}
              onCommit={percent => {
                onChange({ ...marks, fall: { ...fall, percent } });
                return null;
              }}
            />
            {away('the fall', { ...marks, fall: null })}
          </Group>
        )}
        {patches.map(({ id, words, radiusM, at }) => (
          <Group key={id} align="flex-end" gap="xs" className={classes.patchRow}>
            <PatchWords words={words} onCommit={changed => changePatch(id, { words: changed })} />
            <LengthField
              label="Across"
              lengthM={at.xM}
              minM={0}
              maxM={200}
              onCommit={xM => {
                changePatch(id, { at: { ...at, xM } });
                return null;
              }}
            />
            <LengthField
              label="Up the arena"
              lengthM={at.yM}
              minM={0}
              maxM={200}
              onCommit={yM => {
                changePatch(id, { at: { ...at, yM } });
                return null;
              }}
            />
            <LengthField
              label="Radius"
              lengthM={radiusM}
              minM={0.5}
              maxM={20}
              onCommit={value => {
                changePatch(id, { radiusM: value });
                return null;
              }}
            />
            {away(words, { ...marks, patches: patches.filter(patch => patch.id !== id) })}
          </Group>
        ))}
      </div>
    </Card>
  );
}

function PatchWords({ words, onCommit }: { words: string; onCommit: (words: string) => void }) {
  const [typed, setTyped] = useState(words);
  const commit = () => {
    const trimmed = typed.trim();
    if (trimmed === '') setTyped(words);
    else if (trimmed !== words) onCommit(trimmed);
  };
  return (
    <TextInput
      label="A bad patch"
      maxLength={80}
      value={typed}
      onChange={event => setTyped(event.currentTarget.value)}
      onBlur={commit}
      onKeyDown={event => event.key === 'Enter' && commit()}
    />
  );
}
