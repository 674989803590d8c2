'use client';

import { lazily } from '@/components/lazily';
import type { ReactNode } from 'react';
import classes from './Pad.module.css';

/** It comes after the pad, which is there sooner without it, and before a thumb asks for it. */
const FromBelow = lazily(() => import('./FromBelow'), { atOnce: true });

type SheetProps = { title: string; opened: boolean; onClose: () => void; children: ReactNode };

/** A sheet over the pad, from below where the thumb is. */
export function Sheet({ title, opened, onClose, children }: SheetProps) {
  return (
    <FromBelow
      opened={opened}
      onClose={onClose}
      title={title}
      position="bottom"
      size="92%"
      transitionProps={{ duration: 0 }}
      closeButtonProps={{ 'aria-label': 'Close', size: 56 }}
      classNames={{ content: classes.sheet, title: classes.sheetTitle, header: classes.sheetHead }}
    >
      {children}
    </FromBelow>
  );
}
