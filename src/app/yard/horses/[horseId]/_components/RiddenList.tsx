import { Card } from '@/components/Card/Card';
import type { RiddenLayout } from '@/data/queries/ridden';
import Link from 'next/link';
import classes from '../page.module.css';

type RiddenListProps = { ridden: (RiddenLayout & { day: string })[] };

/** The pairs and layouts that a horse has been ridden in. */
export function RiddenList({ ridden }: RiddenListProps) {
  return (
    <Card label="Ridden" title="Ridden">
      {ridden.length === 0 && <p className={classes.quiet}>Nothing yet: passes recorded in Ride appear here.</p>}
      <ul className={classes.list}>
        {ridden.map(({ pairId, layoutId, riderName, layoutName, passes, day }) => (
          <li key={`${pairId}-${layoutId}`}>
            <Link href={`/plan/${layoutId}`} className={classes.link}>
              {layoutName}
            </Link>{' '}
            with{' '}
            <Link href={`/review/${pairId}`} className={classes.link}>
              {riderName}
            </Link>
            <p className={classes.quiet}>
              {passes} {passes === 1 ? 'pass' : 'passes'}, last on {day}
            </p>
          </li>
        ))}
      </ul>
    </Card>
  );
}
