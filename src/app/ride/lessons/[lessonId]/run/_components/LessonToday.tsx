'use client';

import { chooseWho, useWho } from '@/components/who/whoSays';
import Link from 'next/link';
import { useState } from 'react';
import { endLesson } from '../endLesson';
import { type LessonRecordState } from '../../_state/useLesson';
import classes from './RunLesson.module.css';

type LessonTodayProps = { lessonId: string; lesson: LessonRecordState; isWrittenDown: boolean };

/** The lesson as a whole: who records on this device, its record, and its end. */
export function LessonToday({ lessonId, lesson, isWrittenDown }: LessonTodayProps) {
  const who = useWho();
  const [name, setName] = useState<string | null>(null);
  return (
    <section className={classes.part} aria-label="This lesson">
      <h2>This lesson</h2>
      <form
        className={classes.note}
        onSubmit={event => {
          event.preventDefault();
          chooseWho(name?.trim() || null);
          setName(null);
        }}
      >
        <input
          aria-label="Who records on this device"
          placeholder="Who records on this device"
          maxLength={60}
          value={name ?? who ?? ''}
          onChange={event => setName(event.currentTarget.value)}
        />
        <button type="submit" className={classes.key} disabled={name === null || name.trim() === (who ?? '')}>
          Save
        </button>
      </form>
      <div className={classes.keys}>
        <Link href={`/ride/lessons/${lessonId}/record`} className={classes.key}>
          The record
        </Link>
        {!isWrittenDown && (
          <button
            type="button"
            className={classes.key}
            disabled={!lesson.ready}
            onClick={() => endLesson(lesson, lessonId)}
          >
            End the lesson
          </button>
        )}
      </div>
    </section>
  );
}
