'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { LayoutCards, type LayoutCard } from '@/components/LayoutCards/LayoutCards';
import { hasWords } from '@/core';
import { Button, Group, Switch, Text, TextInput } from '@mantine/core';
import { KeyStandIn } from '@/components/fields/KeyStandIn';
import { later } from '@/components/later';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { CardMenuProps } from './CardMenu';

/** What can be done with a layout: what opens comes after the page. */
const CardMenu = later<CardMenuProps>(
  () => import('./CardMenu'),
  ({ card }) => (
    <KeyStandIn {...MORE} aria-label={`More. What to do with ${card.name}`}>
      More
    </KeyStandIn>
  ),
);
const MORE = { size: 'compact-sm', variant: 'default', style: { alignSelf: 'flex-start' } } as const;

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
