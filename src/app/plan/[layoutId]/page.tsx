import { FollowThread } from '@/components/Shell/thread';
import { listHorses } from '@/data/queries/horses';
import { findLayout } from '@/data/queries/layouts';
import { writePlan } from '@/files/planDocument';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { yardContext } from '../../_server/yardContext';
import { PlanEditor } from './_components/PlanEditor';

export const metadata: Metadata = { title: 'Plan' };

export default async function PlanPage({ params }: { params: Promise<{ layoutId: string }> }) {
  const { layoutId } = await params;
  const { db, yard } = await yardContext();
  const layout = await findLayout(db, yard.id, layoutId);
  if (!layout) notFound();
  // A horse that was put away stays in the layouts that are spaced by it.
  const spacedBy = new Set(layout.plan.rows.map(({ horseId }) => horseId));
  const horses = (await listHorses(db, yard.id)).filter(({ id, archived }) => !archived || spacedBy.has(id));
  return (
    <>
      <FollowThread layout={{ id: layout.id, name: layout.name }} />
      <PlanEditor
        key={layout.id}
        layoutId={layout.id}
        name={layout.name}
        revision={layout.revision}
        planOnPaper={writePlan(layout.plan)}
        arena={layout.arena}
        horses={horses}
      />
    </>
  );
}
