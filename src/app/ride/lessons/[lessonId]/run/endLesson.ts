import { saying } from '@/app/ride/saying';
import { amend } from '@/core';
import type { LessonRecordState } from '../_state/useLesson';

/** Ends a lesson now; it can be opened again while its day lasts. */
export function endLesson({ log, tap }: Pick<LessonRecordState, 'log' | 'tap'>, lessonId: string): void {
  const own = saying();
  const value = { on: 'lesson', of: lessonId, what: 'ended', was: log.endedAtMs, to: own.atMs } as const;
  tap([amend(log, lessonId, value, own)]);
}
