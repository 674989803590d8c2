import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { listPairs } from '@/data/queries/pairs';
import { listPasses } from '@/data/queries/passes';
import type { Metadata } from 'next';
import Link from 'next/link';
import { present } from '@/data/present';
import { yardContext } from '../_server/yardContext';
import { yardTime } from '../_server/yardTime';
import classes from './page.module.css';

export const metadata: Metadata = { title: 'Review' };

export default async function ReviewListPage() {
  const { db, yard } = await yardContext();
  const pairs = present(await listPairs(db, yard.id));
  const ridden = await Promise.all(pairs.map(async pair => ({ pair, passes: await listPasses(db, yard.id, pair.id) })));
  return (
    <>
      <PageHead title="Review" sub="What the record says of each pair." />
      {pairs.length === 0 && (
        <EmptyState title="No pairs yet" action={<LinkButton href="/yard">To the yard</LinkButton>}>
          Put a rider and a horse together in the yard, ride a layout, and come back.
        </EmptyState>
      )}
      <ul className={classes.pairs}>
        {ridden.map(({ pair, passes }) => {
          const last = passes[passes.length - 1];
          return (
            <li key={pair.id}>
              <Link href={`/review/${pair.id}`}>
                <strong>{pair.horseName}</strong> with {pair.riderName}
                <span>
                  {last
                    ? `${passes.length} ${passes.length === 1 ? 'pass' : 'passes'}, last on ${yardTime(last.riddenAtMs, yard.timeZone, 'D MMMM')}`
                    : 'nothing ridden yet'}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </>
  );
}
