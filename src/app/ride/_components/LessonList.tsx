import type { LessonState } from '@/core';
import Link from 'next/link';
import classes from './LessonList.module.css';

export type ListedLesson = {
  id: string;
  name: string;
  /** On the yard's clock. */
  when: string;
  line: string;
  state: LessonState;
};

/** The latest are in sight; the others are a tap away. */
const SHOWN_RIDDEN = 8;

/** Lessons by what they are: those that run, those that are planned, the soonest first, and those that were ridden. */
export function LessonList({ lessons }: { lessons: readonly ListedLesson[] }) {
  const of = (state: LessonState) => lessons.filter(lesson => lesson.state === state);
  if (lessons.length === 0) return <p>No lesson is planned yet. A pair can also ride by itself, below.</p>;
  return (
    <div className={classes.lists}>
      <Lessons title="Running" lessons={of('running')} />
      <Lessons title="Planned" lessons={of('planned').reverse()} />
      <Lessons title="Ridden" lessons={of('ended').slice(0, SHOWN_RIDDEN)} />
      {of('ended').length > SHOWN_RIDDEN && (
        <details>
          <summary className={classes.more}>Ridden before ({of('ended').length - SHOWN_RIDDEN})</summary>
          <Lessons title="Ridden before" lessons={of('ended').slice(SHOWN_RIDDEN)} />
        </details>
      )}
      {of('archived').length > 0 && (
        <details>
          <summary className={classes.more}>Archived ({of('archived').length})</summary>
          <Lessons title="Archived" lessons={of('archived')} />
        </details>
      )}
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

function Lessons({ title, lessons }: { title: string; lessons: readonly ListedLesson[] }) {
  if (lessons.length === 0) return null;
  return (
    <section>
      <h2>{title}</h2>
      <ul className={classes.list}>
        {lessons.map(({ id, name, when, line, state }) => {
          const { on, label } = OPENS[state];
          const own = `/ride/lessons/${id}`;
          return (
            <li key={id}>
              <time>{when}</time>
              <Link href={state === 'planned' ? own : `${own}/${on}`}>{name}</Link>
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
