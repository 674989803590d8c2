'use client';

import { Card } from '@/components/Card/Card';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { StrideEntryKey, StrideSource } from '@/core';
import { Table } from '@mantine/core';
import { ENTRY_LABELS } from '../../../entryLabels';
import classes from '../page.module.css';

export type ProfileRow = {
  entry: StrideEntryKey;
  shortM: number;
  normalM: number;
  longM: number;
  source: StrideSource;
  lowM: number;
  highM: number;
  since: string | null;
};

const SOURCE_WORDS: Record<StrideSource, string> = {
  default: 'guessed from height and type',
  typed: 'typed in',
  tested: 'tested',
  learned: 'from the record',
};

/** A horse's strides by gait: short, normal, long, where each comes from, and how sure it is. */
export function ProfileStrides({ rows }: { rows: ProfileRow[] }) {
  const { format, say } = useLengths();
  return (
    <Card label="Strides" title="Strides">
      <Table.ScrollContainer minWidth={560}>
        <Table verticalSpacing={6} className={classes.numbers}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Gait</Table.Th>
              <Table.Th>Short</Table.Th>
              <Table.Th>Normal</Table.Th>
              <Table.Th>Long</Table.Th>
              <Table.Th>Where from, and how sure</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {rows.map(({ entry, shortM, normalM, longM, source, lowM, highM, since }) => (
              <Table.Tr key={entry}>
                <Table.Td>{say(ENTRY_LABELS[entry])}</Table.Td>
                <Table.Td>{format(shortM)}</Table.Td>
                <Table.Td fw={source === 'default' ? 400 : 700}>{format(normalM)}</Table.Td>
                <Table.Td>{format(longM)}</Table.Td>
                <Table.Td>
                  <span className={classes.quiet}>
                    {SOURCE_WORDS[source]}
                    {since && ` on ${since}`}; {format(lowM)} to {format(highM)}
                  </span>
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </Table.ScrollContainer>
    </Card>
  );
}
