'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { hasWords, plainWords, type LessonState } from '@/core';
import { TextInput } from '@mantine/core';
import Link from 'next/link';
import { useState } from 'react';
import classes from './LessonList.module.css';
import { LessonMonth } from './LessonMonth';
import type { ListedLesson } from './listedLesson';

type LessonListProps = {
  lessons: readonly ListedLesson[];
  /** Today on the yard's clock. */
  today: string;
};

/** Lessons: those that run, today's, those that come, the soonest first; what was lies in a calendar. All are found by words. */
export function LessonList({ lessons, today }: LessonListProps) {
  const say = useSay();
  const [words, setWords] = useState('');
  if (lessons.length === 0) return <p>No lesson is planned yet. A pair can also ride by itself, below.</p>;
  const found = lessons.filter(({ name, when, line, inside }) =>
    hasWords(plainWords([name, when, line, inside, say(inside)].join(' ')), words),
  );
  const planned = found.filter(({ state }) => state === 'planned').reverse();
  const ended = found.filter(({ state }) => state === 'ended');
  const missed = planned.filter(({ day }) => day < today).reverse();
  const archived = found.filter(({ state }) => state === 'archived');
  return (
    <div className={classes.lists}>
      <TextInput
        aria-label="Search the lessons"
        placeholder="bend, Quill, November …"
        value={words}
        onChange={event => setWords(event.currentTarget.value)}
        maw={320}
      />
      {found.length === 0 && <p role="status">No lesson is like that: take a word away.</p>}
      <Lessons title="Running" lessons={found.filter(({ state }) => state === 'running')} />
      <Lessons title="Today" lessons={planned.filter(({ day }) => day === today)} />
      <Lessons title="Coming" lessons={planned.filter(({ day }) => day > today)} />
      <Folded title="Planned, and not ridden" lessons={missed} />
      {words.trim() === '' ? (
        <LessonMonth lessons={found.filter(({ state }) => state !== 'archived')} today={today}>
          {isShown => <Lessons title="" lessons={ended.filter(({ day }) => isShown(day))} />}
        </LessonMonth>
      ) : (
        <Lessons title="Ridden" lessons={ended} />
      )}
      <Folded title="Archived" lessons={archived} />
    </div>
  );
}

/** What one needs in a state: to teach, or to read. */
const OPENS: Record<LessonState, { on: 'run' | 'record'; label: string }> = {
  planned: { on: 'run', label: 'Run it' },
  running: { on: 'run', label: 'Go on' },
  ended: { on: 'record', label: 'Read it' },
  archived: { on: 'record', label: 'Read it' },
};

type LessonsProps = { title: string; lessons: readonly ListedLesson[] };

function Folded({ title, lessons }: LessonsProps) {
  if (lessons.length === 0) return null;
  return (
    <details>
      <summary className={classes.more}>
        {title} ({lessons.length})
      </summary>
      <Lessons title="" lessons={lessons} />
    </details>
  );
}

function Lessons({ title, lessons }: LessonsProps) {
  if (lessons.length === 0) return null;
  return (
    <section aria-label={title === '' ? undefined : title}>
      {title !== '' && <h2>{title}</h2>}
      <ul className={classes.list}>
        {lessons.map(({ id, name, when, line, state }) => {
          const { on, label } = OPENS[state];
          const own = `/ride/lessons/${id}`;
          return (
            <li key={id}>
              <time>{when}</time>
              <Link href={state === 'planned' ? own : state === 'ended' ? `${own}/end` : `${own}/${on}`}>{name}</Link>
              <span>{line}</span>
              <Link
                href={`${own}/${on}`}
                className={classes.run}
                data-quiet={on === 'record' || undefined}
                aria-label={`${label}: ${name}`}
              >
                {label}
              </Link>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
