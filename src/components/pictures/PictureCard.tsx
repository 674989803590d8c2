'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { Card } from '@/components/Card/Card';
import type { Claim } from '@/core';
import type { ReactNode } from 'react';
import { Numbers, type PictureTable } from './Numbers';
import classes from './PictureCard.module.css';

type PictureCardProps = {
  title: string;
  /** What the record says of it: bold, with what it rests on behind it. */
  says?: readonly Pick<Claim, 'text' | 'because'>[];
  /** What the picture shows, in a line. */
  sub?: string;
  /** The numbers of the picture. */
  table: PictureTable;
  /** What its files are called. */
  fileName: string;
  /** The picture. */
  children?: ReactNode;
  /** What can be done about it. */
  actions?: ReactNode;
  /** Stands on the one printed page. */
  onPaper?: boolean;
  /** Takes the whole width of the page. */
  isWide?: boolean;
};

/** A picture with what it says and what can be done about it; its numbers, and all of it as files, are a tap away. */
export function PictureCard(props: PictureCardProps) {
  const say = useSay();
  const { title, says = [], sub, table, fileName, children, actions, onPaper, isWide } = props;
  return (
    <div className={classes.place} data-on-paper={onPaper || undefined} data-wide={isWide || undefined}>
      <Card label={say(title)} title={say(title)}>
        {says.map(({ text, because }) => (
          <details key={text} className={classes.says}>
            <summary>{say(text)}</summary>
            <p>{say(because)}</p>
          </details>
        ))}
        {children && <div data-picture="">{children}</div>}
        {sub && <p className={classes.sub}>{say(sub)}</p>}
        {actions && <div className={classes.actions}>{actions}</div>}
        <Numbers title={say(title)} table={table} fileName={fileName} hasPicture={Boolean(children)} />
      </Card>
    </div>
  );
}
