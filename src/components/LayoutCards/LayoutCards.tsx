import type { Arena, Item, ReckonedTrack } from '@/core';
import { Text } from '@mantine/core';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { CroppedSand } from '../Sand/CroppedSand';
import classes from './LayoutCards.module.css';

export type LayoutCard = {
  id: string;
  href: string;
  name: string;
  arena: Arena & { name: string };
  items: Item[];
  tracks: ReckonedTrack[];
  /** One line under the name. */
  line: string;
  /** When it was changed and ridden last. */
  dates: string;
  tags: string[];
  /** All the words it is found by. */
  text: string;
  archived: boolean;
};

type LayoutCardsProps = {
  cards: LayoutCard[];
  /** What can be done with one, under it. */ actions?: (card: LayoutCard) => ReactNode;
};

/** Layouts as small true drawings. */
export function LayoutCards({ cards, actions }: LayoutCardsProps) {
  return (
    <ul className={classes.cards}>
      {cards.map(card => {
        const { id, href, name, arena, items, tracks, line, dates, tags } = card;
        return (
          <li key={id} className={classes.card} data-archived={card.archived || undefined}>
            <Link href={href} className={classes.link}>
              <div className={classes.drawing} aria-hidden="true">
                <CroppedSand arena={arena} items={items} tracks={tracks} />
              </div>
              <strong>{name}</strong>
              <Text size="sm" c="dimmed">
                {line}
              </Text>
              <Text size="xs" c="dimmed">
                {dates}
              </Text>
              {tags.length > 0 && (
                <span className={classes.tags}>
                  {tags.map(tag => (
                    <span key={tag}>{tag}</span>
                  ))}
                </span>
              )}
            </Link>
            {actions?.(card)}
          </li>
        );
      })}
    </ul>
  );
}
