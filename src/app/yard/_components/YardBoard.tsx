'use client';

import { EmptyState } from '@/components/EmptyState/EmptyState';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { profileStride } from '@/core';
import type { NamedArena } from '@/data/queries/arenas';
import type { Pair } from '@/data/queries/pairs';
import type { Person } from '@/data/queries/people';
import { Button, Table, Text, Title } from '@mantine/core';
import { IconPlus } from '@tabler/icons-react';
import { useState, type ReactNode } from 'react';
import { TYPE_LABELS } from '../typeLabels';
import type { HorseFigures } from '../yardFigures';
import { ArenaFormModal } from './ArenaFormModal';
import { HorseFormModal } from './HorseFormModal';
import { PairFormModal } from './PairFormModal';
import { PersonFormModal } from './PersonFormModal';
import classes from './YardBoard.module.css';

type YardBoardProps = { horses: HorseFigures[]; people: Person[]; pairs: Pair[]; arenas: NamedArena[] };

type OpenForm =
  | { kind: 'horse'; horse?: HorseFigures }
  | { kind: 'person'; person?: Person }
  | { kind: 'pair' }
  | { kind: 'arena'; arena?: NamedArena }
  | null;

/** Who, where and with what: the yard at one look. */
export function YardBoard({ horses, people, pairs, arenas }: YardBoardProps) {
  const [form, setForm] = useState<OpenForm>(null);
  const close = () => setForm(null);
  return (
    <div className={classes.board}>
      <HorseTable horses={horses} onOpen={horse => setForm({ kind: 'horse', horse })} />
      <div className={classes.side}>
        <PairList
          pairs={pairs}
          canAdd={people.length > 0 && horses.length > 0}
          onAdd={() => setForm({ kind: 'pair' })}
        />
        <PeopleList people={people} onOpen={person => setForm({ kind: 'person', person })} />
        <ArenaList arenas={arenas} onOpen={arena => setForm({ kind: 'arena', arena })} />
      </div>
      {form?.kind === 'horse' && <HorseFormModal horse={form.horse} opened onClose={close} />}
      {form?.kind === 'person' && <PersonFormModal person={form.person} opened onClose={close} />}
      {form?.kind === 'pair' && <PairFormModal riders={people} horses={horses} opened onClose={close} />}
      {form?.kind === 'arena' && <ArenaFormModal arena={form.arena} opened onClose={close} />}
    </div>
  );
}

type SectionProps = { title: string; addLabel: string; onAdd: () => void; disabled?: boolean; children: ReactNode };

function Section({ title, addLabel, onAdd, disabled, children }: SectionProps) {
  return (
    <section aria-label={title} className={classes.section}>
      <div className={classes.sectionHead}>
        <Title order={2} size="h4">
          {title}
        </Title>
        <Button size="xs" variant="light" leftSection={<IconPlus size={14} />} onClick={onAdd} disabled={disabled}>
          {addLabel}
        </Button>
      </div>
      {children}
    </section>
  );
}

function HorseTable({ horses, onOpen }: { horses: HorseFigures[]; onOpen: (horse?: HorseFigures) => void }) {
  const { format } = useLengths();
  return (
    <Section title="Horses" addLabel="Add a horse" onAdd={() => onOpen()}>
      {horses.length === 0 ? (
        <EmptyState title="No horses yet" action={<Button onClick={() => onOpen()}>Add the first horse</Button>}>
          A horse’s height and type are enough to begin: Roan knows what stride to expect, and you can type in what you
          have measured.
        </EmptyState>
      ) : (
        <Table.ScrollContainer minWidth={560}>
          <Table verticalSpacing="xs">
            <Table.Thead>
              <Table.Tr>
                <Table.Th>Horse</Table.Th>
                <Table.Th>Walk step</Table.Th>
                <Table.Th>Trot step</Table.Th>
                <Table.Th>Canter, poles</Table.Th>
                <Table.Th>Canter, fences</Table.Th>
                <Table.Th />
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {horses.map(horse => (
                <Table.Tr key={horse.id}>
                  <Table.Td>
                    <strong>{horse.name}</strong>
                    <Text size="sm" c="slate.7">
                      {horse.heightText} · {Math.round(horse.heightM * 100)} cm · {TYPE_LABELS[horse.type]}
                    </Text>
                  </Table.Td>
                  {(['walk-poles', 'trot-poles', 'canter-poles', 'course-canter'] as const).map(entry => {
                    const stride = profileStride(horse, entry);
                    return (
                      <Table.Td key={entry} className={stride?.source === 'default' ? classes.usual : classes.own}>
                        {stride ? format(stride.normalM) : ''}
                      </Table.Td>
                    );
                  })}
                  <Table.Td ta="right">
                    <Button
                      size="compact-sm"
                      variant="subtle"
                      onClick={() => onOpen(horse)}
                      aria-label={`Change ${horse.name}`}
                    >
                      Change
                    </Button>
                  </Table.Td>
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
          <Text size="xs" c="slate.7" mt={4}>
            <span className={classes.own}>Bold</span>: this horse’s own. Plain: what practice expects of its height and
            type.
          </Text>
        </Table.ScrollContainer>
      )}
    </Section>
  );
}

function PairList({ pairs, canAdd, onAdd }: { pairs: Pair[]; canAdd: boolean; onAdd: () => void }) {
  return (
    <Section title="Pairs" addLabel="Add a pair" onAdd={onAdd} disabled={!canAdd}>
      {pairs.length === 0 && (
        <Text size="sm" c="slate.7">
          {canAdd ? 'Put a rider and a horse together: records belong to the pair.' : 'First add a rider and a horse.'}
        </Text>
      )}
      <ul className={classes.list}>
        {pairs.map(pair => (
          <li key={pair.id}>
            <span>
              {pair.riderName} <span className={classes.amp}>and</span> {pair.horseName}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );
}

const ROLE_LABELS: Record<Person['role'], string> = { instructor: 'instructor', rider: 'rider', helper: 'helper' };

function PeopleList({ people, onOpen }: { people: Person[]; onOpen: (person?: Person) => void }) {
  const { format } = useLengths();
  return (
    <Section title="People" addLabel="Add a person" onAdd={() => onOpen()}>
      {people.length === 0 && (
        <Text size="sm" c="slate.7">
          Add yourself first, with the length of your own step: the setting sheet then speaks in your steps.
        </Text>
      )}
      <ul className={classes.list}>
        {people.map(person => (
          <li key={person.id}>
            <span>
              {person.name}
              <Text span size="sm" c="slate.7">
                {' '}
                {ROLE_LABELS[person.role]}
                {person.stepLengthM !== null && ` · step ${format(person.stepLengthM)}`}
              </Text>
            </span>
            <Button
              size="compact-sm"
              variant="subtle"
              onClick={() => onOpen(person)}
              aria-label={`Change ${person.name}`}
            >
              Change
            </Button>
          </li>
        ))}
      </ul>
    </Section>
  );
}

function ArenaList({ arenas, onOpen }: { arenas: NamedArena[]; onOpen: (arena?: NamedArena) => void }) {
  const { format } = useLengths();
  return (
    <Section title="Arenas" addLabel="Add an arena" onAdd={() => onOpen()}>
      {arenas.length === 0 && (
        <Text size="sm" c="slate.7">
          Add the sand you teach on: its two sides are enough.
        </Text>
      )}
      <ul className={classes.list}>
        {arenas.map(arena => (
          <li key={arena.id}>
            <span>
              {arena.name}
              <Text span size="sm" c="slate.7">
                {' '}
                {format(arena.widthM)} × {format(arena.lengthM)}, {arena.letters === 'none' ? 'no letters' : 'letters'}
              </Text>
            </span>
            <Button
              size="compact-sm"
              variant="subtle"
              onClick={() => onOpen(arena)}
              aria-label={`Change ${arena.name}`}
            >
              Change
            </Button>
          </li>
        ))}
      </ul>
    </Section>
  );
}
