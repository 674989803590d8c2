'use client';

import { Card } from '@/components/Card/Card';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { boxWords } from '@/components/sync/boxes';
import { deviceSync } from '@/components/sync/deviceSync';
import type { KeptRow } from '@/components/sync/keptRow';
import { useSyncState } from '@/components/sync/useBox';
import { Button, Group, Stack } from '@mantine/core';
import { CarryOver } from './CarryOver';
import { KeptHere } from './KeptHere';
import { TypedDrafts } from './TypedDrafts';
import { WaitingRow } from './WaitingRow';
import classes from './Waiting.module.css';

/** What waits and what was refused, box by box, in the order in which it was tapped. */
export function WaitingBoard() {
  const { rows, problem } = useSyncState();
  if (rows === null) return <p role="status">Opening …</p>;
  if (rows.length === 0)
    return (
      <>
        <TypedDrafts />
        <EmptyState title="Nothing waits">
          Everything that was tapped on this device is in the yard’s record. Without a connection, what you tap is kept
          here until it can be sent, from any page.
        </EmptyState>
        <Stack gap="md" mt="md">
          <KeptHere />
          <CarryOver />
        </Stack>
      </>
    );
  const waiting = rows.filter(({ refused }) => refused === null);
  const inPageOnly = waiting.filter(({ keptIn }) => keptIn === 'page').length;
  return (
    <>
      {waiting.length > 0 && (
        <Group mb="md">
          <span role="status">
            {waiting.length} to be sent. {problem}
            {inPageOnly > 0 && ` ${inPageOnly} only in this page: leave it open until they are sent.`}
          </span>
          <Button variant="default" onClick={() => deviceSync().flush()}>
            Send now
          </Button>
        </Group>
      )}
      <div className={classes.boxes}>
        <TypedDrafts />
        {[...new Set(rows.map(({ box }) => box))].map(box => (
          <Box key={box} box={box} rows={rows.filter(row => row.box === box)} />
        ))}
        <KeptHere />
        <CarryOver />
      </div>
    </>
  );
}

function Box({ box, rows }: { box: string; rows: readonly KeptRow[] }) {
  const { words, href } = boxWords(box);
  return (
    <Card label={words} title={words}>
      {href !== null && (
        <LinkButton href={href} variant="default">
          Show it
        </LinkButton>
      )}
      <ol className={classes.rows}>
        {rows.map(row => (
          <WaitingRow key={row.key} row={row} />
        ))}
      </ol>
    </Card>
  );
}
