'use client';

import { Card } from '@/components/Card/Card';
import { LengthField } from '@/components/LengthField/LengthField';
import { ARENA_THING_KINDS, thingWords, type ArenaThingKind } from '@/core';
import type { ArenaMarks } from '@/files/arenaMarks';
import { Button, Group, Select, Text, TextInput } from '@mantine/core';
import classes from './ArenaMarksBoard.module.css';

type ListProps = { marks: ArenaMarks; onChange: (marks: ArenaMarks) => void };

const KINDS = ARENA_THING_KINDS.map(value => ({
  value,
  label: thingWords({ kind: value, name: null }).replace(/^the /, ''),
}));

/** What stands on the sand for good: a line goes round it, and nothing is set there. */
export function ArenaThingsList({ marks, onChange }: ListProps) {
  const { standing } = marks;
  const put = (index: number, changes: Partial<ArenaMarks['standing'][number]>) => {
    onChange({ ...marks, standing: standing.map((thing, at) => (at === index ? { ...thing, ...changes } : thing)) });
    return null;
  };
  return (
    <Card label="What stands there" title="What stands there">
      <div className={classes.marks}>
        {standing.length === 0 && (
          <p className={classes.quiet}>Nothing: choose “Something that stands there” and tap the sand.</p>
        )}
        {standing.map((thing, index) => (
          <Group key={index} align="flex-end" gap="xs" className={classes.patchRow}>
            <Select
              label="What it is"
              data={KINDS}
              value={thing.kind}
              allowDeselect={false}
              onChange={kind => put(index, { kind: kind as ArenaThingKind })}
            />
            <LengthField
              label="Across"
              lengthM={thing.at.xM}
              minM={0}
              maxM={200}
              onCommit={xM => put(index, { at: { ...thing.at, xM } })}
            />
            <LengthField
              label="Up the arena"
              lengthM={thing.at.yM}
              minM={0}
              maxM={200}
              onCommit={yM => put(index, { at: { ...thing.at, yM } })}
            />
            <LengthField
              label="Radius"
              lengthM={thing.radiusM}
              minM={0.05}
              maxM={20}
              onCommit={radiusM => put(index, { radiusM })}
            />
            <Button
              size="compact-sm"
              variant="subtle"
              flex="none"
              aria-label={`Take away: ${thingWords(thing)}`}
              onClick={() => onChange({ ...marks, standing: standing.filter((_, at) => at !== index) })}
            >
              Take away
            </Button>
          </Group>
        ))}
      </div>
    </Card>
  );
}

/** Letters at places of the yard’s own, in place of the published ones. */
export function OwnLettersList({ marks, onChange }: ListProps) {
  const { ownLetters } = marks;
  const put = (index: number, changes: Partial<ArenaMarks['ownLetters'][number]>) => {
    onChange({ ...marks, ownLetters: ownLetters.map((one, at) => (at === index ? { ...one, ...changes } : one)) });
    return null;
  };
  const free = [...'ABCDEFGHIKLMNPQRSTUVWXYZ'].find(letter => !ownLetters.some(one => one.letter === letter));
  return (
    <Card label="Letters of its own" title="Letters of its own">
      <div className={classes.marks}>
        <Text size="sm">
          {ownLetters.length === 0
            ? 'None: the published letters stand, or none do. Choose “A letter” and tap the wall for letters of your own.'
            : 'These stand in place of the published ones.'}
        </Text>
        {ownLetters.map((one, index) => (
          <Group key={index} align="flex-end" gap="xs" className={classes.patchRow}>
            <TextInput
              label="Letter"
              maxLength={3}
              w={70}
              defaultValue={one.letter}
              key={one.letter}
              onBlur={event => {
                const letter = event.currentTarget.value.trim();
                const isTaken = ownLetters.some((other, at) => at !== index && other.letter === letter);
                if (letter === '' || isTaken) event.currentTarget.value = one.letter;
                else if (letter !== one.letter) put(index, { letter });
              }}
            />
            <LengthField
              label="Across"
              lengthM={one.at.xM}
              minM={0}
              maxM={200}
              onCommit={xM => put(index, { at: { ...one.at, xM } })}
            />
            <LengthField
              label="Up the arena"
              lengthM={one.at.yM}
              minM={0}
              maxM={200}
              onCommit={yM => put(index, { at: { ...one.at, yM } })}
            />
            <Button
              size="compact-sm"
              variant="subtle"
              flex="none"
              aria-label={`Take away: letter ${one.letter}`}
              onClick={() => onChange({ ...marks, ownLetters: ownLetters.filter((_, at) => at !== index) })}
            >
              Take away
            </Button>
          </Group>
        ))}
        {free && ownLetters.length > 0 && (
          <Text size="sm" c="dimmed">
            The next letter you tap is {free}; type another in its place.
          </Text>
        )}
      </div>
    </Card>
  );
}
