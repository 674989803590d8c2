import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { nowMs } from '@/components/nowMs';
import { PageHead } from '@/components/PageHead/PageHead';
import { PrintButton } from '@/components/PrintButton/PrintButton';
import { FollowThread } from '@/components/Shell/thread';
import { present } from '@/data/present';
import { listArenas } from '@/data/queries/arenas';
import { findPair } from '@/data/queries/pairs';
import { versionsRidden } from '@/data/queries/passes';
import { reckonedOnce } from '@/data/queries/reckonedOnce';
import { listStrideTests } from '@/data/queries/strideTests';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
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
import { seasonFrames } from '../_strip/seasonFrames';
import { WhatMoved } from '../_teach/WhatMoved';
import { yardMoves } from '../_teach/yardMoves';
import { pairCards } from '../_pair/pairCards';
import { RowReviewCard } from '../_components/RowReviewCard';
import { pairReview } from '../pairReview';
import { rowReviews } from '../reviewFigures';
import classes from '../_components/Pictures.module.css';

export const metadata: Metadata = { title: 'Review' };

export default async function ReviewPairPage({ params }: { params: Promise<{ pairId: string }> }) {
  const { pairId } = await params;
  const { db, yard, who, unit } = await yardContext(may.read);
  const pair = await findPair(db, yard.id, pairId);
  if (!pair || !mayReadPair(who, pair)) notFound();
  const review = await pairReview(pair);
  const { passes } = review;
  const maySet = isInstructor(who);
  const sands = await pairSands(db, yard, pair, unit);
  const told = review.claims.length > 0 || sands.some(({ claims }) => claims.length > 0);
  const tests = await listStrideTests(db, yard.id, pair.horseId);
  const versions = await versionsRidden(
    db,
    yard.id,
    passes.map(pass => pass.layoutVersionId),
  );
  const reviews = reckonedOnce(passes, `rows ${yard.timeZone}`, () =>
    rowReviews(passes, versions, yard.timeZone).filter(({ spacingM }) => spacingM !== null),
  );
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
      {passes.length > 0 && (
        <>
          <p className={classes.hedge}>
            {told
              ? 'What stands out comes first: what a record suggests, not what is proven. Look at the horse first.'
              : 'Nothing stands out yet: either all is even, or there are too few passes to say.'}
          </p>
          <div className={classes.pictures}>
            {pairCards({ pairId, review, sands, maySet })}
            <FilmStrip
              frames={seasonFrames(passes, versions)}
              hrefOf={id => (maySet ? `/ride/lessons/${id}/record` : `/ride/lessons/${id}/for/${pair.id}`)}
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
        {passes.length > 0 && maySet && <WhatMoved horse={pair.horseName} moves={await yardMoves(db, yard, pair.id)} />}
        {passes.length > 0 && tests.length > 0 && (
          <StrideHistory
            tests={tests.map(({ id, entry, reading, testedAtMs, moment }) => ({
              ...{ id, entry, reading, testedAtMs, moment, day: yardTime(testedAtMs, yard.timeZone, 'D MMM YYYY') },
            }))}
            usual={review.horse}
          />
        )}
        {shown.length === 0 && goals}
        {reviews.map(review => (
          <RowReviewCard key={review.key} pairId={pair.id} horseName={pair.horseName} review={review} />
        ))}
      </div>
    </>
  );
}
