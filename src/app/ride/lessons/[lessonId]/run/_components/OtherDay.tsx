'use client';

import { useAct } from '@/components/form/useAct';
import { ForInstructors } from '@/components/who/mayPlan';
import { useRouter } from 'next/navigation';
import Link from 'next/link';
import { useEarlyTaps } from '@/app/ride/_state/pad/useEarlyTaps';
import { moveLessonToNowAction } from '../../../actions';
import classes from './RunLesson.module.css';

type OtherDayProps = { lessonId: string; name: string; day: string; isPast: boolean };

/** A lesson of another day: written down as it was ridden then, or ridden today instead. */
export function OtherDay({ lessonId, name, day, isPast }: OtherDayProps) {
  const router = useRouter();
  const { act, busy, problem } = useAct('The server does not answer: the lesson is as it was.');
  const early = useEarlyTaps(true);
  const ride = () =>
    act(
      () => moveLessonToNowAction(lessonId),
      () => router.refresh(),
    );
  return (
    <section className={classes.run} aria-label="Another day" {...early}>
      <header className={classes.head}>
        <p>{name}</p>
        <h1>Planned for {day}</h1>
      </header>
      <p>
        {isPast
          ? 'That day is over. What was ridden then is written down with its day and times.'
          : 'That day has not come yet.'}
      </p>
      <div className={classes.keys}>
        {isPast && (
          <Link href={`/ride/lessons/${lessonId}/run?write=1`} className={classes.main}>
            Write it down
          </Link>
        )}
        <ForInstructors>
          <button type="button" className={classes.key} data-early="ride today" disabled={busy} onClick={ride}>
            Ride it today instead
          </button>
          <Link href={`/ride/lessons/${lessonId}`} className={classes.key}>
            To its plan
          </Link>
        </ForInstructors>
      </div>
      {problem && <p role="alert">{problem}</p>}
    </section>
  );
}
