import { FollowThread } from '@/components/Shell/thread';
import { placeRow } from '@/core';
import { findHorse } from '@/data/queries/horses';
import { findLayout } from '@/data/queries/layouts';
import { listPeople } from '@/data/queries/people';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { present } from '@/data/present';
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
  const row = layout.plan.rows[0]!;
  const horse = await findHorse(db, yard.id, row.horseId);
  const placed = horse && placeRow(layout.arena, row, horse);
  const walkers = present(await listPeople(db, yard.id)).flatMap(({ id, name, stepLengthM }) =>
    stepLengthM === null ? [] : [{ id, name, stepLengthM }],
  );
  return (
    <>
      <FollowThread layout={{ id: layout.id, name: layout.name }} />
      {placed && placed.misfit === null ? (
        <SettingSheet
          layoutId={layout.id}
          name={layout.name}
          arena={layout.arena}
          placed={placed}
          gait={row.gait}
          horseName={horse.name}
          walkers={walkers}
          walkerId={typeof steps === 'string' ? steps : null}
        />
      ) : (
        <EmptyState
          title="This row cannot be set yet"
          action={<LinkButton href={`/plan/${layout.id}`}>Mend it in the plan</LinkButton>}
        >
          {placed?.misfit ?? 'The horse it was spaced for is not in the yard any more.'}
        </EmptyState>
      )}
    </>
  );
}
