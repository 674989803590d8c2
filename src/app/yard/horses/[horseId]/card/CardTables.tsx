'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { isGaitedGait, type DistanceCard, type ProfileStride, type StrideEntryKey } from '@/core';
import { Table } from '@mantine/core';
import { ENTRY_LABELS } from '../../../entryLabels';
import classes from './CardTables.module.css';

type CardTablesProps = {
  card: DistanceCard;
  stride: ProfileStride;
  poles: (ProfileStride & { entry: StrideEntryKey })[];
};

const SOURCE_WORDS = {
  default: 'guessed from height and type',
  typed: 'as typed in',
  tested: 'as tested',
  learned: 'from the record',
} as const;
const COUNT_NAMES = ['bounce', 'one stride', 'two', 'three', 'four', 'five', 'six'];

/** The ground each count wants, what is made of distances that are often set, and the spacings of poles. */
export function CardTables({ card, stride, poles }: CardTablesProps) {
  const { format, say } = useLengths();
  return (
    <div className={classes.card}>
      <section aria-label="Each count">
        <h2>Each count, from its shortest to its longest</h2>
        <Table>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Strides</Table.Th>
              <Table.Th>too tight under</Table.Th>
              <Table.Th>easy from</Table.Th>
              <Table.Th>even</Table.Th>
              <Table.Th>easy to</Table.Th>
              <Table.Th>too far over</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {card.counts.map(({ strides, shortestM, easyFromM, evenM, easyToM, longestM }) => (
              <Table.Tr key={strides}>
                <Table.Th scope="row">{COUNT_NAMES[strides]}</Table.Th>
                <Table.Td>{format(shortestM)}</Table.Td>
                <Table.Td>{format(easyFromM)}</Table.Td>
                <Table.Td fw={700}>{format(evenM)}</Table.Td>
                <Table.Td>{format(easyToM)}</Table.Td>
                <Table.Td>{format(longestM)}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
        <p className={classes.quiet}>
          {say('Canter between fences')} {format(stride.normalM)} ({format(stride.shortM)} to {format(stride.longM)}),{' '}
          {SOURCE_WORDS[stride.source]}.
        </p>
      </section>
      <section aria-label="Distances that are often set">
        <h2>Distances that are often set</h2>
        <ul className={classes.calls}>
          {card.common.map(({ groundM, call }) => (
            <li key={groundM}>
              <strong>{format(groundM)}</strong> {call}
            </li>
          ))}
        </ul>
      </section>
      <section aria-label="Poles">
        <h2>Poles</h2>
        <ul className={classes.poles}>
          {poles.map(({ entry, normalM, source }) => (
            <li key={entry}>
              <strong>{format(normalM)}</strong> {isGaitedGait(entry) && 'two spread poles in '}
              {say(ENTRY_LABELS[entry].toLowerCase())}, {SOURCE_WORDS[source]}
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
