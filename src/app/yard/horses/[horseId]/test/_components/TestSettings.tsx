'use client';

import { Card } from '@/components/Card/Card';
import { Choice } from '@/components/Choice';
import { CommitField } from '@/components/CommitField/CommitField';
import { useLengths, useSay } from '@/components/Lengths/LengthsProvider';
import { FEET, parseLength, USUAL_LANE_M, type Foot, type StrideEntryKey } from '@/core';
import { Group, Select } from '@mantine/core';
import { ENTRY_LABELS, FOOT_LABELS, LANE_ENTRIES } from '../../../../entryLabels';
import type { DraftChange, TestDraft } from '../_state/testDraft';
import type { TestPerson } from './testPerson';
import classes from './StrideTestBoard.module.css';

type TestSettingsProps = {
  draft: TestDraft;
  change: (step: DraftChange) => void;
  people: TestPerson[];
  /** Those that may be ridden in turn; the first is the one whose sheet it is. */
  horses: readonly { id: string; name: string }[];
};

const LANES = [
  { value: '60ft', label: '60 ft' },
  { value: '20m', label: '20 m' },
  { value: 'other', label: 'Other length' },
  { value: 'steps', label: 'Own steps' },
];

/** Gait, lane, who rides, and when in the day: everything that two tests have to share to compare. */
export function TestSettings({ draft, change, people, horses }: TestSettingsProps) {
  const say = useSay();
  const set = (changes: Extract<DraftChange, { kind: 'set' }>['changes']) => change({ kind: 'set', changes });
  const who = people.map(({ id, name }) => ({ value: id, label: name }));
  return (
    <Card label="The test">
      <Group align="flex-end" gap="sm">
        {horses.length > 1 && (
          <Select
            label="Horse"
            w={150}
            allowDeselect={false}
            searchable
            data={horses.map(({ id, name }) => ({ value: id, label: name }))}
            value={draft.horseId ?? horses[0]!.id}
            onChange={id => id && set({ horseId: id === horses[0]!.id ? null : id })}
          />
        )}
        <Select
          label="Gait"
          data={LANE_ENTRIES.map(value => ({ value, label: say(ENTRY_LABELS[value]).replace(' in the lane', '') }))}
          value={draft.entry}
          onChange={entry => entry && set({ entry: entry as StrideEntryKey })}
        />
        <Select
          label="Counted foot"
          w={150}
          data={FEET.map(value => ({ value, label: FOOT_LABELS[value] }))}
          value={draft.foot}
          onChange={foot => foot && set({ foot: foot as Foot })}
        />
        <Select
          label="Ridden by"
          placeholder="Not said"
          clearable
          data={who}
          value={draft.riderId}
          onChange={riderId => set({ riderId })}
        />
        <div>
          <span className={classes.label}>When</span>
          <Choice
            aria-label="When in the day"
            value={draft.moment}
            onChange={moment => set({ moment: moment as TestDraft['moment'] })}
            data={[
              { value: 'before', label: 'Before schooling' },
              { value: 'after', label: 'After' },
              { value: 'apart', label: 'By itself' },
            ]}
          />
        </div>
      </Group>
      <LaneSettings draft={draft} set={set} who={who} />
    </Card>
  );
}

type LaneSettingsProps = {
  draft: TestDraft;
  set: (changes: Extract<DraftChange, { kind: 'set' }>['changes']) => void;
  who: { value: string; label: string }[];
};

function LaneSettings({ draft, set, who }: LaneSettingsProps) {
  const { unit, format } = useLengths();
  const { lane } = draft;
  const kind =
    lane.kind === 'steps' ? 'steps' : lane.lengthM === 20 ? '20m' : lane.lengthM === USUAL_LANE_M ? '60ft' : 'other';
  const choose = (chosen: string) => {
    if (chosen === 'steps') return set({ lane: { kind: 'steps', steps: 20 } });
    const lengthM = { '60ft': USUAL_LANE_M, '20m': 20, other: 25 }[chosen as '60ft' | '20m' | 'other'];
    set({ lane: { kind: 'taped', lengthM } });
  };
  return (
    <Group align="flex-end" gap="sm" mt="sm">
      <div>
        <span className={classes.label}>Lane</span>
        <Choice aria-label="The lane" value={kind} onChange={choose} data={LANES} />
      </div>
      {kind === 'other' && lane.kind === 'taped' && (
        <CommitField
          label="Length of the lane"
          text={format(lane.lengthM)}
          read={text => {
            const read = parseLength(text, { defaultUnit: unit });
            if (!read.ok) return read;
            return read.lengthM >= 5 && read.lengthM <= 200
              ? { ok: true, value: read.lengthM }
              : { ok: false, reason: `A lane is ${format(5)} to ${format(200)} long.` };
          }}
          onCommit={lengthM => {
            set({ lane: { kind: 'taped', lengthM } });
            return null;
          }}
        />
      )}
      {lane.kind === 'steps' && (
        <>
          <CommitField
            label="Steps in the lane"
            text={String(lane.steps)}
            read={text => {
              const steps = /^\s*\d{1,3}\s*$/.test(text) ? Number(text) : Number.NaN;
              return steps >= 3 && steps <= 400
                ? { ok: true, value: steps }
                : { ok: false, reason: 'A lane has 3 to 400 steps.' };
            }}
            onCommit={steps => {
              set({ lane: { kind: 'steps', steps } });
              return null;
            }}
          />
          <Select
            label="Whose steps"
            placeholder="Not said"
            clearable
            data={who}
            value={draft.stepperId}
            onChange={stepperId => set({ stepperId })}
          />
          <p className={classes.quiet}>An untaped lane compares only with itself: no length comes of it.</p>
        </>
      )}
    </Group>
  );
}
