import type { Arena, Item, ReckonedTrack } from '@/core';
import { Text } from '@mantine/core';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { LayoutDrawing } from '../Sand/LayoutDrawing';
import { Sand, sandTextM } from '../Sand/Sand';
import { sandView } from '../Sand/sandView';
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
        const view = sandView(arena, 'along');
        return (
          <li key={id} className={classes.card} data-archived={card.archived || undefined}>
            <Link href={href} className={classes.link}>
              <div className={classes.drawing} aria-hidden="true">
                <Sand arena={arena} view={view} label="">
                  <LayoutDrawing layout={{ items }} tracks={tracks} view={view} textM={sandTextM(arena)} />
                </Sand>
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
