import Link from 'next/link';
import classes from './LessonList.module.css';

export type ListedLesson = {
  id: string;
  name: string;
  /** On the yard's clock. */
  when: string;
  line: string;
  coming: boolean;
};

/** Lessons by day: what is coming first, then what was ridden. */
export function LessonList({ lessons }: { lessons: readonly ListedLesson[] }) {
  const coming = lessons.filter(lesson => lesson.coming).reverse();
  const ridden = lessons.filter(lesson => !lesson.coming);
  if (lessons.length === 0) return <p>No lesson is planned yet. A pair can also ride by itself, below.</p>;
  return (
    <div className={classes.lists}>
      <Lessons title="Coming" lessons={coming} />
      <Lessons title="Before now" lessons={ridden} />
    </div>
  );
}

function Lessons({ title, lessons }: { title: string; lessons: readonly ListedLesson[] }) {
  if (lessons.length === 0) return null;
  return (
    <section>
      <h2>{title}</h2>
      <ul className={classes.list}>
        {lessons.map(({ id, name, when, line }) => (
          <li key={id}>
            <time>{when}</time>
            <Link href={`/ride/lessons/${id}`}>{name}</Link>
            <span>{line}</span>
            <Link href={`/ride/lessons/${id}/run`} className={classes.run} aria-label={`Run ${name}`}>
              Run it
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
