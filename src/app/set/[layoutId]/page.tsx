import { FollowThread } from '@/components/Shell/thread';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { layoutCautions, reckonLayout } from '@/core';
import { contents } from '@/app/_server/layoutCards';
import { present } from '@/data/present';
import { findLayout } from '@/data/queries/layouts';
import { madeLayout } from '@/data/queries/layoutVersions';
import { listPeople } from '@/data/queries/people';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { yardContext } from '../../_server/yardContext';
import { SettingSheet } from './_components/SettingSheet';

export const metadata: Metadata = { title: 'Set' };

type SetPageProps = { params: Promise<{ layoutId: string }>; searchParams: Promise<{ steps?: string | string[] }> };

export default async function SetPage({ params, searchParams }: SetPageProps) {
  const { layoutId } = await params;
  const { steps } = await searchParams;
  const { db, yard } = await yardContext();
  const layout = await findLayout(db, yard.id, layoutId);
  if (!layout) notFound();
  const made = await madeLayout(db, yard.id, layout);
  const tracks = reckonLayout(made);
  const walkers = present(await listPeople(db, yard.id)).flatMap(({ id, name, stepLengthM }) =>
    stepLengthM === null ? [] : [{ id, name, stepLengthM }],
  );
  return (
    <>
      <FollowThread layout={{ id: layout.id, name: layout.name }} />
      {made.items.length > 0 ? (
        <SettingSheet
          layoutId={layout.id}
          arenaName={layout.arena.name}
          contents={contents(made)}
          layout={made}
          tracks={tracks}
          cautions={layoutCautions(made, tracks)}
          walkers={walkers}
          walkerId={typeof steps === 'string' ? steps : null}
        />
      ) : (
        <EmptyState
          title="There is nothing to carry out"
          action={<LinkButton href={`/plan/${layout.id}`}>To the plan</LinkButton>}
        >
          This layout has no poles, fences or cones: put some on the sand in the plan.
        </EmptyState>
      )}
    </>
  );
}
