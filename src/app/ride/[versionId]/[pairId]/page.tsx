import { FollowThread } from '@/components/Shell/thread';
import { isRaised, placeRow, rowFit } from '@/core';
import { findHorse } from '@/data/queries/horses';
import { findLayout, findVersion, type LayoutVersion } from '@/data/queries/layouts';
import { findPair } from '@/data/queries/pairs';
import { listPasses } from '@/data/queries/passes';
import { writePlan } from '@/files/planDocument';
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
  const row = version.plan.rows[0]!;
  const { spacingM } = version.frozen.rows[row.id]!;
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
        gait={row.gait}
        poles={row.raised.length}
        spacingM={spacingM}
        stage={row.raised.some(isRaised) ? 'raised' : 'on the ground'}
        fit={rowFit(row.gait, spacingM, horse)}
        planChanged={await hasChanged(version)}
        firstPasses={passes}
      />
    </>
  );
}

/** Whether the plan would lay this out differently today from how it was kept for riding. */
async function hasChanged(version: LayoutVersion): Promise<boolean> {
  const { db, yard } = await yardContext();
  const layout = await findLayout(db, yard.id, version.layoutId);
  const row = layout?.plan.rows[0];
  const horse = row && (await findHorse(db, yard.id, row.horseId));
  if (!layout || !row || !horse) return false;
  const spacingM = placeRow(layout.arena, row, horse).spacing.spacingM;
  const samePlan = JSON.stringify(writePlan(layout.plan)) === JSON.stringify(writePlan(version.plan));
  return !samePlan || spacingM !== version.frozen.rows[row.id]?.spacingM;
}
