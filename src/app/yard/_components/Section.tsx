'use client';

import { Button, Title } from '@mantine/core';
import { IconPlus } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import classes from './YardBoard.module.css';

type SectionProps = { title: string; addLabel: string; onAdd: () => void; disabled?: boolean; children: ReactNode };

/** One part of the yard, with what adds to it. */
export function Section({ title, addLabel, onAdd, disabled, children }: SectionProps) {
  return (
    <section aria-label={title} className={classes.section}>
      <div className={classes.sectionHead}>
        <Title order={2} size="h4">
          {title}
        </Title>
        <Button size="xs" variant="light" leftSection={<IconPlus size={14} />} onClick={onAdd} disabled={disabled}>
          {addLabel}
        </Button>
      </div>
      {children}
    </section>
  );
}
