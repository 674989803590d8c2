import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { nowMs } from '@/components/nowMs';
import { PageHead } from '@/components/PageHead/PageHead';
import { PrintButton } from '@/components/PrintButton/PrintButton';
import { FollowThread } from '@/components/Shell/thread';
import { present } from '@/data/present';
import { listArenas } from '@/data/queries/arenas';
import { findPair } from '@/data/queries/pairs';
import { versionsById } from '@/data/queries/layoutVersions';
import { listStrideTests } from '@/data/queries/strideTests';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Suspense } from 'react';
import { mayReadPair } from '../../_server/access/ownPair';
import { isInstructor } from '../../_server/access/isInstructor';
import { may } from '../../_server/access/rules';
import { pairSands } from '../../_server/pairSands';
import { yardContext } from '../../_server/yardContext';
import { daysLater, yardTime } from '../../_server/yardTime';
import { StrideHistory } from '../../yard/horses/[horseId]/_components/StrideHistory';
import { Goals } from '../_goals/Goals';
import { exerciseChoices, shownGoals } from '../_goals/shownGoals';
import { FilmStrip } from '../_strip/FilmStrip';
import { FIRST_FRAMES, latestLessons, seasonFrames, versionsDrawn } from '../_strip/seasonFrames';
import { PairMoves } from '../_teach/PairMoves';
import { FilmsCard } from '../_pair/FilmsCard';
import { pairCards } from '../_pair/pairCards';
import { PairRows } from '../_pair/PairRows';
import { pairReview } from '../pairReview';
import classes from '../_components/Pictures.module.css';

export const metadata: Metadata = { title: 'Review' };

/** So many lessons more are drawn each time. */
const MORE_FRAMES = 24;

/** A number in an address; none where it is none. */
const howMany = (typed: string | string[] | undefined): number => {
  const number = Number(typed);
  return Number.isInteger(number) && number > 0 ? number : 0;
};

type PageProps = {
  params: Promise<{ pairId: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
};

export default async function ReviewPairPage({ params, searchParams }: PageProps) {
  const { pairId } = await params;
  const shownOf = await searchParams;
  const asked = { rows: howMany(shownOf.rows), lessons: howMany(shownOf.lessons) };
  const { db, yard, who, unit } = await yardContext(may.read);
  const pair = await findPair(db, yard.id, pairId);
  if (!pair || !mayReadPair(who, pair)) notFound();
  const review = await pairReview(pair);
  const { passes } = review;
  const maySet = isInstructor(who);
  const sands = await pairSands(db, yard, pair, unit);
  const told = review.claims.length > 0 || sands.some(({ claims }) => claims.length > 0);
  const tests = await listStrideTests(db, yard.id, pair.horseId);
  const { lessons, of: allLessons } = latestLessons(passes, Math.max(FIRST_FRAMES, asked.lessons));
  const versions = await versionsById(db, yard.id, versionsDrawn(lessons));
  const shown = await shownGoals(db, yard, { id: pair.id, horse: review.horse, passes }, nowMs());
  const goals = (
    <Goals
      pairId={pair.id}
      goals={shown}
      exercises={maySet ? exerciseChoices() : []}
      arenas={maySet ? present(await listArenas(db, yard.id)).map(({ id, name }) => ({ id, name })) : []}
      startsAt={yardTime(daysLater(nowMs(), 1, yard.timeZone), yard.timeZone, 'YYYY-MM-DDT10:00')}
      maySet={maySet}
    />
  );
  const films = (
    <FilmsCard
      {...{ db, yardId: yard.id, pairId }}
      showsAll={maySet}
      hrefOf={id => (maySet ? `/review/films/${id}` : `/mine/films/${id}`)}
    />
  );
  return (
    <>
      <FollowThread pair={{ id: pair.id, name: `${pair.horseName} with ${pair.riderName}` }} />
      <PageHead
        title={
          <>
            {pair.horseName} with {pair.riderName}
          </>
        }
        sub={`${passes.length} ${passes.length === 1 ? 'pass' : 'passes'} recorded`}
        actions={
          <>
            {passes.length > 0 && <PrintButton label="Print one page" />}
            <LinkButton href={`/yard/horses/${pair.horseId}`} variant="default">
              The horse
            </LinkButton>
            <LinkButton href={`/review/${pairId}/films`} variant="default">
              Films
            </LinkButton>
            <LinkButton href="/review" variant="default">
              All of the review
            </LinkButton>
          </>
        }
      />
      {shown.length > 0 && goals}
      {passes.length === 0 && films}
      {passes.length > 0 && (
        <>
          <p className={classes.hedge}>
            {told
              ? 'What stands out comes first: what a record suggests, not what is proven. Look at the horse first.'
              : 'Nothing stands out yet: either all is even, or there are too few passes to say.'}
          </p>
          <div className={classes.pictures}>
            {pairCards({ pairId, review, sands, maySet })}
            {films}
            <FilmStrip
              frames={seasonFrames(lessons, versions)}
              hrefOf={id => (maySet ? `/ride/lessons/${id}/record` : `/ride/lessons/${id}/for/${pair.id}`)}
              earlier={
                allLessons > lessons.length
                  ? {
                      href: `/review/${pairId}?lessons=${lessons.length + MORE_FRAMES}&rows=${asked.rows}`,
                      many: allLessons - lessons.length,
                    }
                  : null
              }
            />
          </div>
        </>
      )}
      {passes.length === 0 && (
        <EmptyState title="Nothing ridden yet" action={<LinkButton href="/ride">To the ride</LinkButton>}>
          Record a few passes of this pair over a row of poles: here you will see where the foot fell and what spacing
          to try next.
        </EmptyState>
      )}
      {/* What has no room on the one printed page. */}
      <div className="roan-no-print">
        {passes.length > 0 && maySet && (
          <Suspense>
            <PairMoves pair={pair} />
          </Suspense>
        )}
        {passes.length > 0 && tests.length > 0 && (
          <StrideHistory
            tests={tests.map(({ id, entry, reading, testedAtMs, moment }) => ({
              ...{ id, entry, reading, testedAtMs, moment, day: yardTime(testedAtMs, yard.timeZone, 'D MMM YYYY') },
            }))}
            usual={review.horse}
          />
        )}
        {shown.length === 0 && goals}
        <Suspense>
          <PairRows pair={pair} passes={passes} asked={asked} />
        </Suspense>
      </div>
    </>
  );
}
