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
  tags: string[];
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
        const { id, href, name, arena, items, tracks, line, tags } = card;
        return (
          <li key={id} className={classes.card} data-archived={card.archived || undefined}>
            <Link href={href} className={classes.link}>
              <div className={classes.drawing} aria-hidden="true">
                <CroppedSand arena={arena} items={items} tracks={tracks} />
              </div>
              <strong>{name}</strong>
              <Text size="sm" c="slate.7">
                {line}
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
