'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { LayoutCards, type LayoutCard } from '@/components/LayoutCards/LayoutCards';
import { hasWords } from '@/core';
import { Button, Group, Menu, Switch, Text, TextInput } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { archiveAction } from '../../yard/actions';
import { duplicateLayoutAction } from '../actions';
import { FileItems } from './FileItems';

const TagForm = dynamic(() => import('./TagForm'), { ssr: false });

/** The layouts of the yard: found by words and tags, copied, archived and restored. */
export function LayoutList({ cards }: { cards: LayoutCard[] }) {
  const say = useSay();
  const [words, setWords] = useState('');
  const [tag, setTag] = useState<string | null>(null);
  const [withArchived, setWithArchived] = useState(false);
  const [tagging, setTagging] = useState<LayoutCard | null>(null);
  const tags = [...new Set(cards.flatMap(card => card.tags))].sort();
  const shown = cards.filter(
    card =>
      (withArchived || !card.archived) &&
      (tag === null || card.tags.includes(tag)) &&
      hasWords(`${card.text} ${say(card.text)}`, words),
  );
  const anyArchived = cards.some(({ archived }) => archived);
  return (
    <>
      <Group mb="sm" gap="xs">
        <TextInput
          aria-label="Search the layouts"
          placeholder="bend, Quill, spiral, May …"
          value={words}
          onChange={event => setWords(event.currentTarget.value)}
          w={260}
        />
        {tags.map(one => (
          <Button
            key={one}
            size="compact-sm"
            variant={one === tag ? 'filled' : 'default'}
            aria-pressed={one === tag}
            onClick={() => setTag(one === tag ? null : one)}
          >
            {one}
          </Button>
        ))}
        {anyArchived && (
          <Switch
            label="Archived ones too"
            checked={withArchived}
            onChange={event => setWithArchived(event.currentTarget.checked)}
          />
        )}
      </Group>
      {shown.length === 0 && (
        <Text c="dimmed" role="status">
          No layout is like that. Take a word or a tag away.
        </Text>
      )}
      <LayoutCards cards={shown} actions={card => <CardMenu card={card} onTag={() => setTagging(card)} />} />
      {tagging && <TagForm card={tagging} onClose={() => setTagging(null)} />}
    </>
  );
}

type Outcome = { ok: boolean; problem?: string | null };

function CardMenu({ card, onTag }: { card: LayoutCard; onTag: () => void }) {
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
