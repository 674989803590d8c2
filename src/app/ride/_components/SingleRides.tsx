import Link from 'next/link';
import classes from './LessonList.module.css';

export type ListedRide = { href: string; name: string; layoutName: string; line: string };

/** What pairs rode by themselves lately: to be read, and to be put right. */
export function SingleRides({ rides }: { rides: readonly ListedRide[] }) {
  if (rides.length === 0) return null;
  return (
    <details className={classes.lists}>
      <summary className={classes.more}>Ridden lately by themselves ({rides.length})</summary>
      <ul className={classes.list}>
        {rides.map(({ href, name, layoutName, line }) => (
          <li key={href}>
            <span>{name}</span>
            <Link href={href}>{layoutName}</Link>
            <span>{line}</span>
            <Link href={href} className={classes.run} aria-label={`Read it: ${name}, ${layoutName}`}>
              Read it
            </Link>
          </li>
        ))}
      </ul>
    </details>
  );
}
