import { Delivery } from '@/components/sync/Delivery';
import { ForInstructors } from '@/components/who/mayPlan';
import { amend } from '@/core';
import Link from 'next/link';
import { saying } from '@/app/ride/saying';
import { type LessonRecordState } from '../../_state/useLesson';
import classes from './RunLesson.module.css';

type EndedProps = {
  lessonId: string;
  name: string;
  lesson: LessonRecordState;
  /** When it was over; null where nothing is known of it. */
  overAtMs: number | null;
  /** Only on its own day: on another one it is written down. */
  canOpen: boolean;
};

/** A lesson that is over: it is read, or opened again; nothing is added to it by mistake. */
export function Ended({ lessonId, name, lesson, overAtMs, canOpen }: EndedProps) {
  const openAgain = () =>
    lesson.tap([
      amend(
        lesson.log,
        lessonId,
        { on: 'lesson', of: lessonId, what: 'ended', was: lesson.log.endedAtMs, to: null },
        saying(),
      ),
    ]);
  return (
    <section className={classes.run} aria-label="The lesson is over">
      <header className={classes.head}>
        <p>{name}</p>
        <h1>The lesson is over</h1>
      </header>
      <p>
        {lesson.log.endedAtMs === null ? 'Nobody ended it; the last pass was ridden' : 'It was ended'}
        {overAtMs === null
          ? ''
          : ` on ${new Date(overAtMs).toLocaleString([], { dateStyle: 'full', timeStyle: 'short' })}`}
        . {lesson.record.passes.length} {lesson.record.passes.length === 1 ? 'pass is' : 'passes are'} in its record.
      </p>
      <Delivery ready={lesson.ready} waits={lesson.waits} />
      <div className={classes.keys}>
        <ForInstructors>
          <Link href={`/ride/lessons/${lessonId}/end`} className={classes.main}>
            What each rider did, and what comes
          </Link>
        </ForInstructors>
        <Link href={`/ride/lessons/${lessonId}/record`} className={classes.key}>
          Read its record
        </Link>
        {canOpen && (
          <button type="button" className={classes.key} disabled={!lesson.ready} onClick={openAgain}>
            Open it again
          </button>
        )}
      </div>
    </section>
  );
}
