import type { ComponentProps, CSSProperties } from 'react';
import classes from './Table.module.css';

type TableProps = ComponentProps<'table'> & {
  /** Rows that lie close together, for many of them. */
  isClose?: boolean;
  /** On a screen that is narrower it is moved under the finger, and the page stays as it is. */
  leastPx?: number;
};

/** A table as it stands everywhere in Roan. */
export function Table({ isClose = false, leastPx, className = '', ...props }: TableProps) {
  const least = { '--least': leastPx === undefined ? '0' : `${leastPx}px` } as CSSProperties;
  const table = <table className={`${classes.table} ${className}`} data-close={isClose || undefined} {...props} />;
  if (leastPx === undefined) return table;
  return (
    <div
      className={classes.moved}
      style={least}
      tabIndex={0}
      role="group"
      aria-label="A table that can be moved sideways"
    >
      {table}
    </div>
  );
}
