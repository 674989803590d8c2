'use client';

import { Choice } from '@/components/Choice';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  callSheet,
  layoutLabels,
  turnWords,
  type CallLine,
  type ItemTrack,
  type Layout,
  type ReckonedItemTrack,
} from '@/core';
import { Modal } from '@/components/Modal/Modal';
import { Button, Group } from '@mantine/core';
import { useState } from 'react';
import classes from './CallSheet.module.css';

type CallSheetProps = { layout: Layout; track: ItemTrack; reckoned: ReckonedItemTrack; onClose: () => void };

/** The track as it is called out: all of it, or one fence at a time in large letters. */
export default function CallSheet({ layout, track, reckoned, onClose }: CallSheetProps) {
  const lines = callSheet(layout, track, reckoned);
  const [way, setWay] = useState('all');
  const [at, setAt] = useState(0);
  const shown = way === 'all' ? lines : lines.slice(at, at + 1);
  return (
    <Modal opened onClose={onClose} size="xl" title={`Called out: ${layoutLabels(layout).track(track.id)}`}>
      <Group justify="space-between" mb="sm" className="roan-no-print">
        <Choice
          aria-label="How much is shown"
          value={way}
          onChange={setWay}
          data={[
            { value: 'all', label: 'All of it' },
            { value: 'one', label: 'One at a time' },
          ]}
        />
        <Button variant="default" onClick={() => window.print()}>
          Print
        </Button>
      </Group>
      <ol className={classes.lines} data-way={way}>
        {shown.map((line, index) => (
          <Line key={index} line={line} />
        ))}
      </ol>
      {way === 'one' && (
        <Group grow mt="md">
          <Button size="lg" variant="default" disabled={at === 0} onClick={() => setAt(at - 1)}>
            Back one
          </Button>
          <Button size="lg" disabled={at === lines.length - 1} onClick={() => setAt(at + 1)}>
            Next
          </Button>
        </Group>
      )}
    </Modal>
  );
}

function Line({ line }: { line: CallLine }) {
  const { format, say } = useLengths();
  const { number, name, what, fromBehind, next } = line;
  return (
    <li>
      {(number !== null || name !== null) && (
        <strong>
          {number !== null && `${number}.`}
          {name !== null && ` ${name}`}
        </strong>
      )}{' '}
      {say(what.replace('-', ' '))}
      {fromBehind && ', from behind'}
      {next && (
        <small>
          then {turnWords(next.turns)}, {format(next.groundM)}
          {next.asked ? `: in ${next.asked}` : next.calls.map(([horse, call]) => `; ${horse} ${call}`).join('')}
        </small>
      )}
    </li>
  );
}
