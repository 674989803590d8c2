import { Text, Title } from '@mantine/core';
import type { ReactNode } from 'react';
import classes from './PageHead.module.css';

type PageHeadProps = {
  title: ReactNode;
  /** One line under the title. */
  sub?: ReactNode;
  /** What can be done on this page as a whole. */
  actions?: ReactNode;
};

/** The head of a page. */
export function PageHead({ title, sub, actions }: PageHeadProps) {
  return (
    <div className={classes.head}>
      <div className={classes.words}>
        <Title order={1} size="h2">
          {title}
        </Title>
        {sub && (
          <Text c="dimmed" size="sm">
            {sub}
          </Text>
        )}
      </div>
      {actions && <div className={`${classes.actions} roan-no-print`}>{actions}</div>}
    </div>
  );
}
