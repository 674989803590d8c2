'use client';

import type { LayoutCard } from '@/components/LayoutCards/LayoutCards';
import { Button, Menu } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useRouter } from 'next/navigation';
import { archiveAction } from '../../yard/actions';
import { duplicateLayoutAction } from '../actions';
import { FileItems } from './FileItems';

type Outcome = { ok: boolean; problem?: string | null };

export type CardMenuProps = { card: LayoutCard; onTag: () => void };

/** What can be done with a layout of the list. */
export default function CardMenu({ card, onTag }: CardMenuProps) {
  const router = useRouter();
  const { id, name, archived } = card;
  const run = async (deed: () => Promise<Outcome>, done: string) => {
    const outcome = await deed().catch(() => null);
    const problem = outcome?.problem ?? 'The server did not answer; nothing was changed.';
    notifications.show(outcome?.ok ? { message: done } : { message: problem, color: 'chestnut' });
    if (outcome?.ok) router.refresh();
  };
  const archive = () =>
    run(
      () => archiveAction({ kind: 'layout', id, archived: !archived }),
      archived ? `${name} is restored.` : `${name} is archived. All records stay.`,
    );
  return (
    <Menu position="bottom-start">
      <Menu.Target>
        <Button
          size="compact-sm"
          variant="default"
          aria-label={`More. What to do with ${name}`}
          style={{ alignSelf: 'flex-start' }}
        >
          More
        </Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Item onClick={() => run(() => duplicateLayoutAction(id), `There are two of ${name} now.`)}>
          Copy
        </Menu.Item>
        <Menu.Item onClick={onTag}>Tags</Menu.Item>
        <Menu.Item onClick={() => router.push(`/plan/${id}/versions`)}>Versions</Menu.Item>
        <FileItems layoutId={id} />
        <Menu.Item onClick={archive}>{archived ? 'Restore' : 'Archive'}</Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}
