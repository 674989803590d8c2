'use client';

import { present } from '@/data/present';
import type { NamedArena } from '@/data/queries/arenas';
import type { KitPiece } from '@/data/queries/kit';
import type { Pair } from '@/data/queries/pairs';
import type { Person } from '@/data/queries/people';
import { Group, Switch, TextInput } from '@mantine/core';
import { IconSearch } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { HorseFigures } from '../yardFigures';
import { HorseTable } from './HorseTable';
import { ArenaList, KitList, PairList, PeopleList } from './YardLists';
import { kitWords } from '../kitWords';
import classes from './YardBoard.module.css';

// Forms come with the first of them that is opened.
const ArenaFormModal = dynamic(() => import('./ArenaFormModal').then(form => form.ArenaFormModal), { ssr: false });
const HorseFormModal = dynamic(() => import('./HorseFormModal').then(form => form.HorseFormModal), { ssr: false });
const KitFormModal = dynamic(() => import('./KitFormModal').then(form => form.KitFormModal), { ssr: false });
const PairFormModal = dynamic(() => import('./PairFormModal').then(form => form.PairFormModal), { ssr: false });
const PersonFormModal = dynamic(() => import('./PersonFormModal').then(form => form.PersonFormModal), { ssr: false });

type YardBoardProps = {
  horses: HorseFigures[];
  people: Person[];
  pairs: Pair[];
  arenas: NamedArena[];
  kit: KitPiece[];
};

type OpenForm =
  | { kind: 'horse'; horse?: HorseFigures }
  | { kind: 'person'; person?: Person }
  | { kind: 'pair' }
  | { kind: 'arena'; arena?: NamedArena }
  | { kind: 'kit'; piece?: KitPiece }
  | null;

/** Who, where and with what: the yard at one look, searched by name, with what is archived on demand. */
export function YardBoard({ horses, people, pairs, arenas, kit }: YardBoardProps) {
  const [form, setForm] = useState<OpenForm>(null);
  const [search, setSearch] = useState('');
  const [showArchived, setShowArchived] = useState(false);
  const close = () => setForm(null);
  const wanted = search.trim().toLocaleLowerCase();
  const shown = <Row extends { archived: boolean }>(rows: Row[], words: (row: Row) => string) =>
    rows.filter(row => (showArchived || !row.archived) && words(row).toLocaleLowerCase().includes(wanted));
  const noUnit = (lengthM: number) => String(lengthM);
  return (
    <>
      <Group mb="sm" gap="lg">
        <TextInput
          aria-label="Search the yard"
          placeholder="Search by name"
          leftSection={<IconSearch size={16} />}
          value={search}
          onChange={event => setSearch(event.currentTarget.value)}
        />
        <Switch
          label="Show what is archived"
          checked={showArchived}
          onChange={event => setShowArchived(event.currentTarget.checked)}
        />
      </Group>
      <div className={classes.board}>
        <div className={classes.side}>
          <HorseTable
            horses={shown(horses, ({ name }) => name)}
            filtered={present(horses).length > 0 || wanted !== ''}
            onOpen={horse => setForm({ kind: 'horse', horse })}
          />
          <KitList
            kit={shown(kit, piece => kitWords(piece, noUnit))}
            onOpen={piece => setForm({ kind: 'kit', piece })}
          />
        </div>
        <div className={classes.side}>
          <PairList
            pairs={shown(pairs, ({ riderName, horseName }) => `${riderName} and ${horseName}`)}
            canAdd={present(people).length > 0 && present(horses).length > 0}
            onAdd={() => setForm({ kind: 'pair' })}
          />
          <PeopleList
            people={shown(people, ({ name }) => name)}
            onOpen={person => setForm({ kind: 'person', person })}
          />
          <ArenaList arenas={shown(arenas, ({ name }) => name)} onOpen={arena => setForm({ kind: 'arena', arena })} />
        </div>
      </div>
      {form?.kind === 'horse' && <HorseFormModal horse={form.horse} opened onClose={close} />}
      {form?.kind === 'person' && <PersonFormModal person={form.person} opened onClose={close} />}
      {form?.kind === 'pair' && (
        <PairFormModal riders={present(people)} horses={present(horses)} opened onClose={close} />
      )}
      {form?.kind === 'arena' && <ArenaFormModal arena={form.arena} opened onClose={close} />}
      {form?.kind === 'kit' && <KitFormModal piece={form.piece} opened onClose={close} />}
    </>
  );
}
