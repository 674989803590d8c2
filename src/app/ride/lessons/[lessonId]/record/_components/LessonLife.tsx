'use client';

import { amend, type LessonState, standingPasses } from '@/core';
import classes from '@/app/ride/_components/record/Record.module.css';
import { saying } from '@/app/ride/saying';
import Link from 'next/link';
import { ArchiveLesson } from '../../_components/ArchiveLesson';
import { useLesson } from '../../_state/useLesson';
import { type BoardProps } from './boardProps';

/** In which state the lesson is, and what can be done about that. */
export function LessonLife({
  lessonId,
  state,
  over,
  isPast,
  isItsDay,
  lesson,
}: BoardProps & { lesson: ReturnType<typeof useLesson> }) {
  const { log, ready } = lesson;
  const setEnded = (endedAtMs: number | null) => {
    lesson.tap([
      amend(log, lessonId, { on: 'lesson', of: lessonId, what: 'ended', was: log.endedAtMs, to: endedAtMs }, saying()),
    ]);
  };
  const isOpen = state === 'running' ? log.endedAtMs === null : log.reopenedAtMs !== null && log.endedAtMs === null;
  const n = standingPasses(log).length;
  return (
    <section aria-label="The lesson">
      <p>
        {STATE_WORDS[state === 'running' && !isOpen ? 'ended' : state]}
        {state === 'ended' && over !== null ? `, ${over}` : ''}. {n} {n === 1 ? 'pass counts' : 'passes count'}.
      </p>
      <div className={classes.row}>
        {state === 'running' && (
          <Link href={`/ride/lessons/${lessonId}/run`} className={classes.key}>
            Go on teaching
          </Link>
        )}
        {isOpen && (
          <button type="button" className={classes.key} disabled={!ready} onClick={() => setEnded(Date.now())}>
            End the lesson
          </button>
        )}
        {state === 'ended' && log.endedAtMs !== null && isItsDay && (
          <button type="button" className={classes.key} disabled={!ready} onClick={() => setEnded(null)}>
            Open it again
          </button>
        )}
        {state !== 'running' && isPast && (
          <Link href={`/ride/lessons/${lessonId}/run?write=1`} className={classes.key}>
            Add passes afterwards
          </Link>
        )}
        <Link href={`/ride/lessons/${lessonId}`} className={classes.key}>
          Plan, day and pairs
        </Link>
        <ArchiveLesson lessonId={lessonId} archived={state === 'archived'} />
      </div>
    </section>
  );
}

const STATE_WORDS: Record<LessonState, string> = {
  planned: 'Planned',
  running: 'It runs',
  ended: 'It is over',
  archived: 'It is archived',
};
