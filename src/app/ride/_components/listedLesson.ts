import type { LessonState } from '@/core';

export type ListedLesson = {
  id: string;
  name: string;
  /** On the yard's clock: in words, and its day, "2026-11-28". */
  when: string;
  day: string;
  line: string;
  /** Who rides, and over what, for whoever looks for it. */
  inside: string;
  state: LessonState;
};
