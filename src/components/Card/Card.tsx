import type { ReactNode } from 'react';
import classes from './Card.module.css';

type CardProps = {
  /** What a screen reader calls it. */
  label: string;
  /** The heading, where it has one to be seen. */
  title?: ReactNode;
  children: ReactNode;
};

/** One thing on a sheet of its own. */
export function Card({ label, title, children }: CardProps) {
  return (
    <section aria-label={label} className={classes.card}>
      {title && <h2 className={classes.title}>{title}</h2>}
      {children}
    </section>
  );
}
