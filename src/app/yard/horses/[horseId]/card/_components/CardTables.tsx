'use client';

import { Table } from '@/components/Table/Table';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { isGaitedGait, type DistanceCard, type ProfileStride, type StrideEntryKey } from '@/core';

import { ENTRY_LABELS } from '../../../../entryLabels';
import classes from '../CardTables.module.css';

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
          <thead>
            <tr>
              <th>Strides</th>
              <th>too tight under</th>
              <th>easy from</th>
              <th>even</th>
              <th>easy to</th>
              <th>too far over</th>
            </tr>
          </thead>
          <tbody>
            {card.counts.map(({ strides, shortestM, easyFromM, evenM, easyToM, longestM }) => (
              <tr key={strides}>
                <th scope="row">{COUNT_NAMES[strides]}</th>
                <td>{format(shortestM)}</td>
                <td>{format(easyFromM)}</td>
                <td style={{ fontWeight: 700 }}>{format(evenM)}</td>
                <td>{format(easyToM)}</td>
                <td>{format(longestM)}</td>
              </tr>
            ))}
          </tbody>
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
