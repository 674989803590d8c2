'use client';

import { Table } from '@/components/Table/Table';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { useLengths, useSay } from '@/components/Lengths/LengthsProvider';
import { profileStride } from '@/core';
import { Button, Text } from '@mantine/core';
import Link from 'next/link';
import { TYPE_LABELS } from '../typeLabels';
import type { HorseFigures } from '../yardFigures';
import { RowActions } from './RowActions';
import { Section } from './Section';
import classes from './YardBoard.module.css';

const SHOWN = ['walk-poles', 'trot-poles', 'canter-poles', 'course-canter'] as const;

type HorseTableProps = { horses: HorseFigures[]; filtered: boolean; onOpen: (horse?: HorseFigures) => void };

/** The horses, each with the strides that spacings are made from. */
export function HorseTable({ horses, filtered, onOpen }: HorseTableProps) {
  const say = useSay();
  return (
    <Section title="Horses" addLabel="Add a horse" onAdd={() => onOpen()}>
      {horses.length === 0 && !filtered && (
        <EmptyState title="No horses yet" action={<Button onClick={() => onOpen()}>Add the first horse</Button>}>
          A horse’s height and type are enough to begin: Roan knows what stride to expect, and you can type in what you
          have measured.
        </EmptyState>
      )}
      {horses.length === 0 && filtered && (
        <Text size="sm" c="dimmed">
          No horse is called that.
        </Text>
      )}
      {horses.length > 0 && (
        <>
          <Table leastPx={600}>
            <thead>
              <tr>
                <th>Horse</th>
                <th>Walk step</th>
                <th>{say('Trot step')}</th>
                <th>{say('Canter, poles')}</th>
                <th>{say('Canter, fences')}</th>
                <th>
                  <span className="roan-visually-hidden">What to do</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {horses.map(horse => (
                <HorseRow key={horse.id} horse={horse} onOpen={onOpen} />
              ))}
            </tbody>
          </Table>
          <Text size="xs" c="dimmed" mt={4}>
            <span className={classes.own}>Bold</span>: this horse’s own. Plain: what practice expects of its height and
            type.
          </Text>
        </>
      )}
    </Section>
  );
}

function HorseRow({ horse, onOpen }: { horse: HorseFigures; onOpen: (horse: HorseFigures) => void }) {
  const { format } = useLengths();
  return (
    <tr className={horse.archived ? classes.archived : undefined}>
      <td>
        <Link href={`/yard/horses/${horse.id}`} className={classes.name}>
          {horse.name}
        </Link>
        <Text size="sm" c="dimmed">
          {horse.heightText} · {Math.round(horse.heightM * 100)} cm · {TYPE_LABELS[horse.type]}
        </Text>
      </td>
      {SHOWN.map(entry => {
        const stride = profileStride(horse, entry);
        return (
          <td key={entry} className={stride?.source === 'default' ? classes.usual : classes.own}>
            {stride ? format(stride.normalM) : ''}
          </td>
        );
      })}
      <td>
        <RowActions
          kind="horse"
          id={horse.id}
          name={horse.name}
          archived={horse.archived}
          onChange={() => onOpen(horse)}
        />
      </td>
    </tr>
  );
}
