import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { FollowThread } from '@/components/Shell/thread';
import { planChanges, reckonLayout, type Layout } from '@/core';
import { findLayout } from '@/data/queries/layouts';
import { listVersions, madeLayout, type LayoutVersion } from '@/data/queries/layoutVersions';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '../../../_server/access/rules';
import { yardContext } from '../../../_server/yardContext';
import { yardTime } from '../../../_server/yardTime';
import { VersionList, type VersionRow } from './_components/VersionList';

export const metadata: Metadata = { title: 'Versions' };

const REASONS: Record<LayoutVersion['reason'], string> = {
  ridden: 'as a lesson was opened over it',
  kept: 'kept by hand',
  'before-change': 'before it was changed',
};

/** What was kept of a layout, and what changed from one to the next. */
export default async function VersionsPage({ params }: { params: Promise<{ layoutId: string }> }) {
  const { layoutId } = await params;
  const { db, yard } = await yardContext(may.instruct);
  const layout = await findLayout(db, yard.id, layoutId);
  if (!layout) notFound();
  const versions = await listVersions(db, yard.id, layoutId);
  const today = await madeLayout(db, yard.id, layout);
  const rows = versions.map((version, index) =>
    versionRow(version, versions[index - 1]?.layout ?? today, yard.timeZone),
  );
  return (
    <>
      <FollowThread layout={{ id: layout.id, name: layout.name }} />
      <PageHead
        title={`Versions of ${layout.name}`}
        sub="What was ridden or kept never changes. What is planned now stands first."
        actions={
          <LinkButton href={`/plan/${layout.id}`} variant="default">
            Back to the plan
          </LinkButton>
        }
      />
      <VersionList layoutId={layout.id} rows={rows} />
    </>
  );
}

function versionRow(
  { id, name, reason, createdAtMs, layout }: LayoutVersion,
  after: Layout,
  timeZone: string,
): VersionRow {
  return {
    ...{ id, name, reason: REASONS[reason], when: yardTime(createdAtMs, timeZone, 'D MMMM YYYY, HH:mm') },
    ...{ arena: layout.arena, items: layout.items, tracks: reckonLayout(layout) },
    // Told forwards: what was changed behind this version.
    changes: planChanges(layout, after),
  };
}
