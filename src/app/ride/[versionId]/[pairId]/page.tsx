import { FollowThread } from '@/components/Shell/thread';
import { POLE_GAITS, riddenRow, rowFit, type PoleGait, type TrackGait } from '@/core';
import { findHorse } from '@/data/queries/horses';
import { findLayout } from '@/data/queries/layouts';
import { findVersion, madeLayout, type LayoutVersion } from '@/data/queries/layoutVersions';
import { findPair } from '@/data/queries/pairs';
import { listPasses } from '@/data/queries/passes';
import { writeLayout } from '@/files/layoutFile';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { yardContext } from '../../../_server/yardContext';
import { RidePad } from './_components/RidePad';

export const metadata: Metadata = { title: 'Ride' };

export default async function RidePadPage({ params }: { params: Promise<{ versionId: string; pairId: string }> }) {
  const { versionId, pairId } = await params;
  const { db, yard } = await yardContext();
  const version = await findVersion(db, yard.id, versionId);
  const pair = await findPair(db, yard.id, pairId);
  const horse = pair && (await findHorse(db, yard.id, pair.horseId));
  if (!version || !pair || !horse) notFound();
  const row = riddenRow(version.layout);
  const spacingM = row?.spacingM ?? null;
  const gait = row && isPoleGait(row.gait) ? row.gait : null;
  const passes = await listPasses(db, yard.id, pairId, versionId);
  return (
    <>
      <FollowThread
        layout={{ id: version.layoutId, name: version.name }}
        pair={{ id: pair.id, name: `${pair.horseName} with ${pair.riderName}` }}
      />
      <RidePad
        pair={pair}
        versionId={version.id}
        layoutName={version.name}
        gait={row?.gait ?? null}
        poles={row?.items ?? 0}
        spacingM={gait && spacingM}
        stage={row?.raised ? 'raised' : 'on the ground'}
        fit={gait && spacingM !== null ? rowFit(gait, spacingM, horse) : null}
        planChanged={await hasChanged(version)}
        firstPasses={passes}
      />
    </>
  );
}

function isPoleGait(gait: TrackGait): gait is PoleGait {
  return POLE_GAITS.some(one => one === gait);
}

/** Whether the plan would lie differently today from how it was kept for riding. */
async function hasChanged(version: LayoutVersion): Promise<boolean> {
  const { db, yard } = await yardContext();
  const layout = await findLayout(db, yard.id, version.layoutId);
  if (!layout) return false;
  const today = await madeLayout(db, yard.id, layout);
  return JSON.stringify(writeLayout(today)) !== JSON.stringify(writeLayout(version.layout));
}
