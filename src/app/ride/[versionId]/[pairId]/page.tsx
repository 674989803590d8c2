import { FollowThread } from '@/components/Shell/thread';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import {
  AS_LAID_OUT,
  askedLayout,
  offeredQuestions,
  POLE_GAITS,
  questionWords,
  riddenRow,
  rowFit,
  trackKey,
  waysToRide,
  type Layout,
  type PoleGait,
  type Question,
  type TrackGait,
} from '@/core';
import { firstTrack } from '@/data/upgrade/versionQuestion';
import { findHorse, horsesAt } from '@/data/queries/horses';
import { findLayout } from '@/data/queries/layouts';
import { findVersion, standingLayout, type LayoutVersion } from '@/data/queries/layoutVersions';
import { findPair, listPairs } from '@/data/queries/pairs';
import { planHorse } from '@/data/queries/planGround';
import { yardRules } from '@/data/queries/settings';
import { rideLog } from '@/data/queries/recordLog';
import { writeLayout } from '@/files/layoutFile';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '../../../_server/access/rules';
import { yardContext } from '../../../_server/yardContext';
import { RidePadApart } from './_components/RidePadApart';

export const metadata: Metadata = { title: 'Ride' };

export default async function RidePadPage({
  params,
  searchParams,
}: {
  params: Promise<{ versionId: string; pairId: string }>;
  searchParams: Promise<{ ask?: string | string[] }>;
}) {
  const { versionId, pairId } = await params;
  const { db, yard } = await yardContext(may.instruct);
  const version = await findVersion(db, yard.id, versionId);
  const pair = await findPair(db, yard.id, pairId);
  const horse = pair && (await findHorse(db, yard.id, pair.horseId));
  if (!version || !pair || !horse) notFound();
  const asks = versionQuestions(version.layout);
  const { ask } = await searchParams;
  const askedIndex = asks[Number(ask) - 1] ? Number(ask) - 1 : Math.max(0, asks.findIndex(isUsual(version.layout)));
  const question = asks[askedIndex];
  const asked = question ? askedLayout(version.layout, question) : null;
  if (!question || !asked) return <NothingToRide layoutId={version.layoutId} />;
  // What was ridden is read with the strides that were known when this layout was first ridden so.
  const ofThen = (await horsesAt(db, yard.id, version.createdAtMs)).find(({ id }) => id === horse.id);
  const row = riddenRow(asked);
  const spacingM = row?.spacingM ?? null;
  const rules = await yardRules(db, yard.id);
  const gait = row && isPoleGait(row.gait) ? row.gait : null;
  return (
    <>
      <FollowThread
        layout={{ id: version.layoutId, name: version.name }}
        pair={{ id: pair.id, name: `${pair.horseName} with ${pair.riderName}` }}
      />
      <RidePadApart
        key={question.id}
        faults={rules.faults}
        riderMarks={rules.riderMarks}
        {...{ question, askedIndex, ways: waysToRide(asked) }}
        asks={asks.map(one => questionWords(version.layout, one))}
        pair={pair}
        versionId={version.id}
        layoutName={version.name}
        gait={row?.gait ?? null}
        poles={row?.items ?? 0}
        spacingM={gait && spacingM}
        stage={row?.raised ? 'raised' : 'on the ground'}
        fit={gait && spacingM !== null ? rowFit(gait, spacingM, horse) : null}
        planChanged={await hasChanged(version)}
        putRight={{
          ...{ layout: version.layout, questions: asks, timeZone: yard.timeZone },
          horse: planHorse(ofThen ?? horse),
          rules,
          pairs: (await listPairs(db, yard.id)).map(({ id, horseName, riderName }) => ({
            ...{ id, name: `${horseName} with ${riderName}` },
          })),
        }}
        first={await rideLog(db, yard.id, pairId, versionId)}
      />
    </>
  );
}

function isPoleGait(gait: TrackGait): gait is PoleGait {
  return POLE_GAITS.some(one => one === gait);
}

/** Everything that is ridden over a kept layout: each of its tracks, its sessions and their figures. */
function versionQuestions(layout: Layout): Question[] {
  return offeredQuestions({ layout, exercises: [], ownerOf: new Map() }).map((offered, index) => ({
    ...{ ...offered, id: `ride-${index + 1}` },
  }));
}

/** What is ridden where nobody chose: a track over poles or fences before what is on the flat. */
function isUsual(layout: Layout): (question: Question) => boolean {
  const usual = firstTrack(layout);
  return question => usual !== null && trackKey(question) === trackKey({ what: usual, state: AS_LAID_OUT });
}

function NothingToRide({ layoutId }: { layoutId: string }) {
  return (
    <EmptyState
      title="Nothing to ride on it yet"
      action={<LinkButton href={`/plan/${layoutId}`}>To the plan</LinkButton>}
    >
      This layout has no track and no figures: draw what is ridden first.
    </EmptyState>
  );
}

/** Whether the plan would lie differently today from how it was kept for riding; what its things are called says nothing. */
async function hasChanged(version: LayoutVersion): Promise<boolean> {
  const { db, yard } = await yardContext(may.instruct);
  const layout = await findLayout(db, yard.id, version.layoutId);
  if (!layout) return false;
  const today = await standingLayout(db, yard.id, layout);
  return JSON.stringify(withoutNames(today)) !== JSON.stringify(withoutNames(version.layout));
}

function withoutNames(layout: Layout): unknown {
  return JSON.parse(
    JSON.stringify(writeLayout({ ...layout, name: '' }), (key, value: unknown) => (key === 'name' ? null : value)),
  );
}
