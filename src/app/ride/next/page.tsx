import { yardContext } from '@/app/_server/yardContext';
import { daysLater, yardTime } from '@/app/_server/yardTime';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { nowMs } from '@/components/nowMs';
import { PageHead } from '@/components/PageHead/PageHead';
import { TAUGHT } from '@/core';
import { present } from '@/data/present';
import { listArenas } from '@/data/queries/arenas';
import { listLessons } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { listRefusals } from '@/data/queries/refusals';
import { layoutsOnSand } from '@/data/queries/sandNow';
import type { Metadata } from 'next';
import { connection } from 'next/server';
import { may } from '../../_server/access/rules';
import { WhatNext } from './_components/WhatNext';

export const metadata: Metadata = { title: 'What next' };

type NextPageProps = { searchParams: Promise<{ pair?: string | string[] }> };

/** What some pairs could ride next, and why: from the record to a lesson. */
export default async function NextPage({ searchParams }: NextPageProps) {
  await connection();
  const { pair = [] } = await searchParams;
  const { db, yard } = await yardContext(may.instruct);
  const atMs = nowMs();
  const [pairs, arenas, refusals, onSand] = await Promise.all([
    listPairs(db, yard.id).then(present),
    listArenas(db, yard.id).then(present),
    listRefusals(db, yard.id, atMs),
    layoutsOnSand(db, yard.id),
  ]);
  const wished = typeof pair === 'string' ? [pair] : pair;
  const named = (id: string) => pairs.find(one => one.id === id)?.horseName ?? 'a pair that is gone';
  const [last] = await listLessons(db, yard.id);
  // As the last lesson that was planned; in the morning where none was.
  const usualTime = last ? yardTime(last.startsAtMs, yard.timeZone, 'HH:mm') : '10:00';
  const lastArena = onSand.find(({ arenaId }) => arenas.some(({ id }) => id === arenaId))?.arenaId;
  return (
    <>
      <PageHead
        title="What next"
        sub="From what was ridden: what to ask next, and why."
        actions={
          <LinkButton href="/ride/next/how" variant="default">
            How it is found
          </LinkButton>
        }
      />
      {pairs.length === 0 || arenas.length === 0 ? (
        <EmptyState title="Nobody rides here yet" action={<LinkButton href="/yard">To the yard</LinkButton>}>
          Put a rider and a horse together and add a sand: what comes next is found from what they ride.
        </EmptyState>
      ) : (
        <WhatNext
          pairs={pairs.map(({ id, horseName, riderName }) => ({ id, horse: horseName, rider: riderName }))}
          arenas={arenas.map(({ id, name }) => ({ id, name }))}
          first={{
            pairIds: wished.filter(id => pairs.some(one => one.id === id)),
            arenaId: lastArena ?? arenas[0]!.id,
            startsAt: `${yardTime(daysLater(atMs, 1, yard.timeZone), yard.timeZone, 'YYYY-MM-DD')}T${usualTime}`,
            minutes: 50,
          }}
          refused={refusals.map(({ id, pairIds, exercise, atMs: refusedAtMs }) => ({
            id,
            words: `${TAUGHT.find(({ kind }) => kind === exercise)?.guidance.title ?? 'A layout of the yard'}, for ${pairIds.map(named).join(', ')}: refused on ${yardTime(refusedAtMs, yard.timeZone, 'D MMMM')}`,
          }))}
        />
      )}
    </>
  );
}
