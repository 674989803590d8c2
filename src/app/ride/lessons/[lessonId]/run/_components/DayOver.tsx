'use client';

import { DaySheet } from './DaySheet';
import { dayParts, type First } from './dayParts';
import type { LessonPadProps } from './runProps';

type DayOverProps = LessonPadProps & {
  /** Says what was counted before a change begins another pass. */
  saidFirst: First;
  opened: boolean;
  onCall: () => void;
  onClose: () => void;
  undo: { words: string; onUndo: () => void } | null;
};

/** All that is changed on the day, over the pad. */
export default function DayOver({ saidFirst, opened, onCall, onClose, undo, ...props }: DayOverProps) {
  return (
    <DaySheet opened={opened} onClose={onClose} parts={opened ? dayParts(props, saidFirst, onCall) : []} undo={undo} />
  );
}
