import type { ReactNode } from 'react';
import classes from './Help.module.css';

type HelpProps = {
  /** What it helps with, as a question that somebody has. */
  asks: string;
  /** One sentence. */
  says: ReactNode;
  /** The picture, drawn in a box of 320 by 100. */
  children: ReactNode;
};

/** Help where it is needed, folded: a picture and one sentence. Who knows it never sees more than its line. */
export function Help({ asks, says, children }: HelpProps) {
  return (
    <details className={`${classes.help} roan-no-print`}>
      <summary>{asks}</summary>
      <figure>
        <svg viewBox="0 0 320 100" aria-hidden="true" className={classes.picture}>
          {children}
        </svg>
        <figcaption>{says}</figcaption>
      </figure>
    </details>
  );
}
