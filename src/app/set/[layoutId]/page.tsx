import { AnyHorse } from '@/components/AnyHorse/AnyHorse';
import { FollowThread } from '@/components/Shell/thread';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { ForInstructors } from '@/components/who/mayPlan';
import { changedLegs, outOfPlace, riddenRow } from '@/core';
import { contents } from '@/app/_server/layoutCards';
import { heavyWork } from '@/app/_server/heavy/heavyWork';
import { measureByOf, settingSetup, walkersOf } from '@/app/_server/settingSetup';
import type { RoanDatabase } from '@/data/database';
import { present } from '@/data/present';
import { listHorses } from '@/data/queries/horses';
import { listPairs } from '@/data/queries/pairs';
import { listTicks } from '@/data/queries/settingTicks';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { teachPairs } from '../../plan/_teach/teachPairs';
import { yardCautionLimits } from '../../_server/yardCautionLimits';
import { isInstructor } from '../../_server/access/isInstructor';
import { may } from '../../_server/access/rules';
import { yardContext } from '../../_server/yardContext';
import { SettingSheet } from './_components/SettingSheet';

export const metadata: Metadata = { title: 'Set' };

type SetPageProps = {
  params: Promise<{ layoutId: string }>;
  searchParams: Promise<{ steps?: string | string[]; by?: string | string[]; stage?: string | string[] }>;
};

export default async function SetPage({ params, searchParams }: SetPageProps) {
  const { layoutId } = await params;
  const { steps, by, stage } = await searchParams;
  const { db, yard, unit, who } = await yardContext(may.help);
  const setup = await settingSetup(db, yard.id, layoutId, stage);
  if (!setup) notFound();
  const { layout, yardLayout, standing } = setup;
  const walkers = await walkersOf(db, yard.id);
  // Without a word about it the sheet speaks in the first one's steps; “none” is a tape only.
  const walker = steps === 'none' ? null : (walkers.find(({ id }) => id === steps) ?? walkers[0] ?? null);
  const measureBy = measureByOf(by);
  const { tracks, cautions, ...reckoned } = await heavyWork('setting', {
    ...{ layout, whole: setup.whole, from: setup.from, measureBy, unit },
    ...{ stepM: walker?.stepLengthM ?? null, stepShare: walker?.stepShare ?? 0 },
    limits: await yardCautionLimits(db, yard.id),
  });
  return (
    <>
      <FollowThread layout={{ id: layoutId, name: yardLayout.name }} />
      {layout.items.length > 0 && layout.horses.length === 0 && (
        <AnyHorse matters=". Before it is set: who rides it?">
          <ForInstructors>
            <LinkButton href={`/plan/${layoutId}`} size="compact-sm" variant="default">
              Choose who rides
            </LinkButton>
          </ForInstructors>
        </AnyHorse>
      )}
      {layout.items.length > 0 ? (
        <SettingSheet
          // What was typed and ticked belongs to one revision of a layout.
          key={`${layoutId} ${yardLayout.revision} ${setup.stage ?? ''}`}
          layoutId={layoutId}
          revision={yardLayout.revision}
          arenaName={yardLayout.arena.name}
          marks={yardLayout.arena.marks}
          contents={contents(layout)}
          spacingM={riddenRow(layout)?.spacingM ?? null}
          layout={layout}
          whole={setup.whole}
          stages={setup.stages}
          stage={setup.stage}
          {...reckoned}
          tracks={tracks}
          cautions={cautions}
          horseIds={yardLayout.plan.groupIds}
          teach={isInstructor(who) ? await teachChoices(db, yard.id) : null}
          walkers={walkers}
          walkerId={walker?.id ?? null}
          measureBy={measureBy}
          firstTicks={await listTicks(db, yard.id, layoutId)}
          standing={
            standing && {
              sinceMs: standing.kept.createdAtMs,
              away: outOfPlace(layout.items, standing.layout.items),
              changes: changedLegs(layout, standing.layout.items),
            }
          }
        />
      ) : (
        <EmptyState
          title="There is nothing to carry out"
          action={
            <ForInstructors>
              <LinkButton href={`/plan/${layoutId}`}>To the plan</LinkButton>
            </ForInstructors>
          }
        >
          This layout has no poles, fences or cones: put some on the sand in the plan.
        </EmptyState>
      )}
    </>
  );
}

/** Who may be taught over what was set: for an instructor alone. */
async function teachChoices(db: RoanDatabase, yardId: string) {
  const [pairs, horses] = await Promise.all([listPairs(db, yardId), listHorses(db, yardId)]);
  return {
    pairs: teachPairs(present(pairs)),
    horses: present(horses).map(({ id, name }) => ({ id, name })),
  };
}
