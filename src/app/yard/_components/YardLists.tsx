'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { NamedArena } from '@/data/queries/arenas';
import type { KitPiece } from '@/data/queries/kit';
import type { Pair } from '@/data/queries/pairs';
import type { Person } from '@/data/queries/people';
import { Text } from '@mantine/core';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { kitWords } from '../kitWords';
import { RowActions } from './RowActions';
import { Section } from './Section';
import classes from './YardBoard.module.css';

function Hint({ children }: { children: ReactNode }) {
  return (
    <Text size="sm" c="dimmed">
      {children}
    </Text>
  );
}

type PairListProps = { pairs: Pair[]; canAdd: boolean; onAdd: () => void };

/** Riders and horses that are ridden together. */
export function PairList({ pairs, canAdd, onAdd }: PairListProps) {
  return (
    <Section title="Pairs" addLabel="Add a pair" onAdd={onAdd} disabled={!canAdd}>
      {pairs.length === 0 && (
        <Hint>
          {canAdd ? 'Put a rider and a horse together: records belong to the pair.' : 'First add a rider and a horse.'}
        </Hint>
      )}
      <ul className={classes.list}>
        {pairs.map(({ id, riderName, horseName, archived }) => (
          <li key={id} className={archived ? classes.archived : undefined}>
            <span>
              {riderName} <span className={classes.amp}>and</span> {horseName}
            </span>
            <RowActions kind="pair" id={id} name={`${riderName} and ${horseName}`} archived={archived} />
          </li>
        ))}
      </ul>
    </Section>
  );
}

type PeopleListProps = { people: Person[]; onOpen: (person?: Person) => void };

/** Everybody, with the length of their own step. */
export function PeopleList({ people, onOpen }: PeopleListProps) {
  const { format } = useLengths();
  return (
    <Section title="People" addLabel="Add a person" onAdd={() => onOpen()}>
      {people.length === 0 && (
        <Hint>Add yourself first, with the length of your own step: the setting sheet then speaks in your steps.</Hint>
      )}
      <ul className={classes.list}>
        {people.map(person => (
          <li key={person.id} className={person.archived ? classes.archived : undefined}>
            <span>
              <Link href={`/yard/people/${person.id}`} className={classes.name}>
                {person.name}
              </Link>
              <Text size="sm" c="dimmed">
                {person.role}
                {person.stepLengthM !== null && ` · step ${format(person.stepLengthM)}`}
              </Text>
            </span>
            <RowActions
              kind="person"
              id={person.id}
              name={person.name}
              archived={person.archived}
              onChange={() => onOpen(person)}
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}

type ArenaListProps = { arenas: NamedArena[]; onOpen: (arena?: NamedArena) => void };

/** The sand there is. */
export function ArenaList({ arenas, onOpen }: ArenaListProps) {
  const { format } = useLengths();
  return (
    <Section title="Arenas" addLabel="Add an arena" onAdd={() => onOpen()}>
      {arenas.length === 0 && <Hint>Add the sand you teach on: its two sides are enough.</Hint>}
      <ul className={classes.list}>
        {arenas.map(arena => (
          <li key={arena.id} className={arena.archived ? classes.archived : undefined}>
            <span>
              <Link href={`/yard/arenas/${arena.id}`} className={classes.name}>
                {arena.name}
              </Link>
              <Text size="sm" c="dimmed">
                {format(arena.widthM)} × {format(arena.lengthM)}, {arena.letters === 'none' ? 'no letters' : 'letters'}
              </Text>
            </span>
            <RowActions
              kind="arena"
              id={arena.id}
              name={arena.name}
              archived={arena.archived}
              onChange={() => onOpen(arena)}
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}

type KitListProps = { kit: KitPiece[]; onOpen: (piece?: KitPiece) => void };

/** What there is to set with. */
export function KitList({ kit, onOpen }: KitListProps) {
  const { format } = useLengths();
  return (
    <Section title="Kit" addLabel="Add some kit" onAdd={() => onOpen()}>
      {kit.length === 0 && (
        <Hint>
          Count what is in the store: poles by length, stands, cups, blocks, cones. Layouts then say what lacks.
        </Hint>
      )}
      <ul className={classes.list}>
        {kit.map(piece => (
          <li key={piece.id} className={piece.archived ? classes.archived : undefined}>
            <span>
              <strong>{piece.count}</strong> {kitWords(piece, format)}
            </span>
            <RowActions
              kind="kit"
              id={piece.id}
              name={kitWords(piece, format)}
              archived={piece.archived}
              onChange={() => onOpen(piece)}
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}
