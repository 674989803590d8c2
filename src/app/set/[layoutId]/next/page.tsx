import { FollowThread } from '@/components/Shell/thread';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { nowMs } from '@/components/nowMs';
import { carryPlan } from '@/core';
import { nextInLessons } from '@/app/_server/comingLessons';
import { settingSetup } from '@/app/_server/settingSetup';
import { yardContext } from '@/app/_server/yardContext';
import { present } from '@/data/present';
import { listLayouts } from '@/data/queries/layouts';
import { listLessons } from '@/data/queries/lessons';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { CarryBoard } from './_components/CarryBoard';

export const metadata: Metadata = { title: 'From one layout to the next' };

type NextPageProps = {
  params: Promise<{ layoutId: string }>;
  searchParams: Promise<{ to?: string | string[] }>;
};

export default async function NextLayoutPage({ params, searchParams }: NextPageProps) {
  const { layoutId } = await params;
  const { to } = await searchParams;
  const { db, yard } = await yardContext();
  const here = await settingSetup(db, yard.id, layoutId);
  if (!here) notFound();
  const others = present(await listLayouts(db, yard.id)).filter(
    ({ id, arena }) => id !== layoutId && arena.id === here.yardLayout.arena.id,
  );
  const isHere = (id: string) => others.some(other => other.id === id);
  const coming = nextInLessons(present(await listLessons(db, yard.id)), layoutId, nowMs(), isHere);
  const wanted = typeof to === 'string' && isHere(to) ? to : (coming?.layoutId ?? null);
  const next = wanted === null ? null : await settingSetup(db, yard.id, wanted);
  const stands = here.standing?.layout ?? here.layout;
  return (
    <>
      <FollowThread layout={{ id: layoutId, name: here.yardLayout.name }} />
      <PageHead
        title={`From “${here.yardLayout.name}” to the next`}
        sub={`${here.yardLayout.arena.name}. Each pole, stand, block and cone goes where it is carried least.`}
        actions={<LinkButton href={`/set/${layoutId}`}>Back to its sheet</LinkButton>}
      />
      {others.length === 0 ? (
        <EmptyState
          title="No other layout lies in this arena"
          action={<LinkButton href="/plan">To the plan</LinkButton>}
        >
          Plan a second layout on the same sand, and this page says what is carried where.
        </EmptyState>
      ) : (
        <CarryBoard
          layoutId={layoutId}
          others={others.map(({ id, name }) => ({ id, name }))}
          coming={coming}
          next={
            next && {
              id: next.yardLayout.id,
              name: next.yardLayout.name,
              layout: next.layout,
              plan: carryPlan(stands.items, next.layout.items, here.from),
            }
          }
          from={stands}
        />
      )}
    </>
  );
}
