import Link from 'next/link';
import { BringToSeries } from './BringToSeries';
import classes from './TogetherLine.module.css';

export type TogetherLesson = { id: string; when: string; isMoved: boolean };

type TogetherLineProps = {
  lessonId: string;
  series: readonly TogetherLesson[];
  groups: readonly TogetherLesson[];
  /** How many of the series come after this one and were not begun. */
  coming: number;
};

/** What a lesson belongs with: the other weeks of its series, and the other groups of its clinic. */
export function TogetherLine({ lessonId, series, groups, coming }: TogetherLineProps) {
  if (series.length < 2 && groups.length < 2) return null;
  return (
    <div className={classes.together}>
      {groups.length > 1 && <Line label="Groups" lessons={groups} {...{ lessonId }} say={at => `Group ${at + 1}`} />}
      {series.length > 1 && <Line label="Series" lessons={series} {...{ lessonId }} say={() => null} />}
      {coming > 0 && <BringToSeries {...{ lessonId, coming }} />}
    </div>
  );
}

type LineProps = {
  label: string;
  lessonId: string;
  lessons: readonly TogetherLesson[];
  say: (at: number) => string | null;
};

function Line({ label, lessonId, lessons, say }: LineProps) {
  return (
    <nav aria-label={label}>
      <strong>{label}</strong>
      <ol>
        {lessons.map(({ id, when, isMoved }, at) => (
          <li key={id}>
            <Link href={`/ride/lessons/${id}`} aria-current={id === lessonId ? 'page' : undefined}>
              {[say(at), when].filter(Boolean).join(', ')}
              {isMoved && <em> moved</em>}
            </Link>
          </li>
        ))}
      </ol>
    </nav>
  );
}
