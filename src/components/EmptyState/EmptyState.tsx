import { Text, Title } from '@mantine/core';
import type { ReactNode } from 'react';
import classes from './EmptyState.module.css';

type EmptyStateProps = {
  title: string;
  /** The next step, in a sentence. */
  children: ReactNode;
  /** What takes the reader there. */
  action?: ReactNode;
  /** Where it is all that the page has: its heading is that of the page. */
  isPage?: boolean;
};

/** Nothing here yet: says so, and teaches the next step. */
export function EmptyState({ title, children, action, isPage = false }: EmptyStateProps) {
  return (
    <div className={classes.empty}>
      <svg viewBox="0 0 120 40" className={classes.poles} aria-hidden="true">
        {[12, 36, 60, 84, 108].map(x => (
          <line key={x} x1={x} x2={x} y1="16" y2="36" />
        ))}
        <path d="M0 36Q12 -20 24 36Q36 -20 48 36Q60 -20 72 36Q84 -20 96 36Q108 -20 120 36" />
      </svg>
      <Title order={isPage ? 1 : 2} size="h3" ta="center">
        {title}
      </Title>
      <Text c="dimmed" maw={460} ta="center">
        {children}
      </Text>
      {action}
    </div>
  );
}
