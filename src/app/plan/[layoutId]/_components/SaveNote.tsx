import { Text } from '@mantine/core';
import type { SaveStatus } from '../_state/autosaver';

function words(status: SaveStatus): string {
  switch (status.kind) {
    case 'saved':
      return 'Saved';
    case 'saving':
      return 'Saving …';
    case 'stale':
      return 'Not saved: changed elsewhere';
    case 'waiting':
    case 'refused':
      return status.problem;
  }
}

/** Whether what is on the screen is in the database. It is as wide saved as while saving: nothing moves under the hand. */
export function SaveNote({ status }: { status: SaveStatus }) {
  const calm = status.kind === 'saved' || status.kind === 'saving';
  return (
    <Text size="sm" c={calm ? 'dimmed' : 'var(--roan-main-ink)'} fw={calm ? 400 : 600} role="status" miw={64} maw={320}>
      {words(status)}
    </Text>
  );
}
