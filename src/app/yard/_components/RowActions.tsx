'use client';

import type { Archivable } from '@/data/queries/archive';
import { Button, Group } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useTransition } from 'react';
import { archiveAction } from '../actions';
import classes from './YardBoard.module.css';

type RowActionsProps = {
  kind: Archivable;
  id: string;
  /** What the row is called: "Quill", "Lenna and Pepper". */
  name: string;
  archived: boolean;
  /** Opens the form to change it; pairs have none. */
  onChange?: () => void;
};

/** What can be done with a row: change it, archive it, restore it. Nothing is ever deleted. */
export function RowActions({ kind, id, name, archived, onChange }: RowActionsProps) {
  const [pending, startTransition] = useTransition();
  const archive = () =>
    startTransition(async () => {
      const outcome = await archiveAction({ kind, id, archived: !archived }).catch(() => null);
      const done = archived ? `${name} is restored.` : `${name} is archived. All records stay.`;
      notifications.show({
        message: outcome?.ok ? done : (outcome?.problem ?? 'The server did not answer; nothing was changed.'),
        color: outcome?.ok ? undefined : 'chestnut',
      });
    });
  return (
    <Group gap={2} wrap="nowrap" justify="flex-end" className={classes.actions}>
      {onChange && !archived && (
        <Button size="compact-sm" variant="subtle" onClick={onChange} aria-label={`Change ${name}`}>
          Change
        </Button>
      )}
      <Button
        size="compact-sm"
        variant="subtle"
        color="slate"
        loading={pending}
        onClick={archive}
        aria-label={archived ? `Restore ${name}` : `Archive ${name}`}
      >
        {archived ? 'Restore' : 'Archive'}
      </Button>
    </Group>
  );
}
