import { Text, Title } from '@mantine/core';
import type { ReactNode } from 'react';
import classes from './EmptyState.module.css';

type EmptyStateProps = {
  title: string;
  /** The next step, in a sentence. */
  children: ReactNode;
  /** What takes the reader there. */
  action?: ReactNode;
};

/** Nothing here yet: says so, and teaches the next step. */
export function EmptyState({ title, children, action }: EmptyStateProps) {
  return (
    <div className={classes.empty}>
      <svg viewBox="0 0 120 40" className={classes.poles} aria-hidden="true">
        {[12, 36, 60, 84, 108].map(x => (
          <line key={x} x1={x} x2={x} y1="4" y2="36" />
        ))}
        <path d="M0 34 Q12 6 24 34 T48 34 T72 34 T96 34 T120 34" />
      </svg>
      <Title order={3}>{title}</Title>
      <Text c="slate.7" maw={460} ta="center">
        {children}
      </Text>
      {action}
    </div>
  );
}
