import { yardContext } from '@/app/_server/yardContext';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { nowMs } from '@/components/nowMs';
import { PageHead } from '@/components/PageHead/PageHead';
import type { Metadata } from 'next';
import { connection } from 'next/server';
import { may } from '../../_server/access/rules';
import { SeasonBoard } from './_components/SeasonBoard';
import { WaitingSeries } from './_components/WaitingSeries';
import { seasonData } from './seasonData';
import { waitingSeries } from './waitingSeries';

export const metadata: Metadata = { title: 'The season' };

/** So much of what was, and so much of what comes, fits a desk. */
const BACK_WEEKS = 6;
const WEEKS = 15;

/** Weeks by pairs as one picture: what was ridden, what is planned, and where it is too much. */
export default async function SeasonPage() {
  await connection();
  const { db, yard } = await yardContext(may.instruct);
  const season = await seasonData(db, yard, { backWeeks: BACK_WEEKS, weeks: WEEKS, nowMs: nowMs() });
  return (
    <>
      <PageHead
        title="The season"
        sub="What each pair did and what is planned; drag a lesson to another day."
        actions={<LinkButton href="/ride/next">What next</LinkButton>}
      />
      {season.pairs.length === 0 ? (
        <EmptyState title="No pairs yet" action={<LinkButton href="/yard">To the yard</LinkButton>}>
          Put a rider and a horse together in the yard, and plan a lesson for them.
        </EmptyState>
      ) : (
        <>
          <WaitingSeries series={await waitingSeries(db, yard, nowMs())} />
          <SeasonBoard season={season} />
        </>
      )}
    </>
  );
}
