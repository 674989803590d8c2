import type { Arena, PlacedRow } from '@/core';
import { Text } from '@mantine/core';
import Link from 'next/link';
import { RowDrawing } from '../Sand/RowDrawing';
import { Sand, sandTextM } from '../Sand/Sand';
import { sandView } from '../Sand/sandView';
import classes from './LayoutCards.module.css';

export type LayoutCard = {
  id: string;
  href: string;
  name: string;
  arena: Arena & { name: string };
  placed: PlacedRow | null;
  /** One line under the name. */
  line: string;
};

/** Layouts as small true drawings. */
export function LayoutCards({ cards }: { cards: LayoutCard[] }) {
  return (
    <ul className={classes.cards}>
      {cards.map(({ id, href, name, arena, placed, line }) => {
        const view = sandView(arena, 'along');
        return (
          <li key={id}>
            <Link href={href} className={classes.card}>
              <div className={classes.drawing} aria-hidden="true">
                <Sand arena={arena} view={view} label="">
                  {placed && <RowDrawing placed={placed} view={view} textM={sandTextM(arena)} />}
                </Sand>
              </div>
              <strong>{name}</strong>
              <Text size="sm" c="slate.7">
                {line}
              </Text>
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
