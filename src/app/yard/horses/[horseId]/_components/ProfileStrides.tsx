'use client';

import { Table } from '@/components/Table/Table';
import { Card } from '@/components/Card/Card';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { StrideEntryKey, StrideRange, StrideSource } from '@/core';
import { ENTRY_LABELS } from '../../../entryLabels';
import classes from '../page.module.css';

export type ProfileRow = StrideRange & {
  entry: StrideEntryKey;
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
      <Table leastPx={560} isClose className={classes.numbers}>
        <thead>
          <tr>
            <th>Gait</th>
            <th>Short</th>
            <th>Normal</th>
            <th>Long</th>
            <th>Where from, and how sure</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ entry, shortM, normalM, longM, source, lowM, highM, since }) => (
            <tr key={entry}>
              <td>{say(ENTRY_LABELS[entry])}</td>
              <td>{format(shortM)}</td>
              <td style={{ fontWeight: source === 'default' ? 400 : 700 }}>{format(normalM)}</td>
              <td>{format(longM)}</td>
              <td>
                <span className={classes.quiet}>
                  {SOURCE_WORDS[source]}
                  {since && ` on ${since}`}; {format(lowM)} to {format(highM)}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Card>
  );
}
