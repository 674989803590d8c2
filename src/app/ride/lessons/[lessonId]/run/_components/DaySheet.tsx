'use client';

import { Sheet } from '@/app/ride/_components/pad/Sheet';
import classes from './RunLesson.module.css';
import { useState, type ReactNode } from 'react';

export type DayPart = { name: string; content: ReactNode };

type DaySheetProps = {
  opened: boolean;
  onClose: () => void;
  /** What is shown, a part at a time. */
  parts: readonly DayPart[];
  /** What the last change of the day was, in words, and a way back; null where nothing was changed. */
  undo: { words: string; onUndo: () => void } | null;
};

/** All that can be changed on the day, one tap from the pad: a part at a time, so that each is a tap or two. */
export function DaySheet({ opened, onClose, parts, undo }: DaySheetProps) {
  const [name, setName] = useState(parts[0]?.name ?? '');
  const part = parts.find(one => one.name === name) ?? parts[0];
  return (
    <Sheet title="On the day" opened={opened} onClose={onClose}>
      <div role="tablist" aria-label="What is changed" className={classes.tabs}>
        {parts.map(one => (
          <button
            key={one.name}
            type="button"
            role="tab"
            aria-selected={one === part}
            className={classes.key}
            onClick={() => setName(one.name)}
          >
            {one.name}
          </button>
        ))}
      </div>
      <div role="tabpanel" aria-label={part?.name} className={classes.day}>
        {part?.content}
      </div>
      {undo && (
        <button type="button" className={classes.key} onClick={undo.onUndo}>
          Undo<small>{undo.words}</small>
        </button>
      )}
    </Sheet>
  );
}
