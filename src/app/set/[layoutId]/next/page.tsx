import { FollowThread } from '@/components/Shell/thread';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { ForInstructors } from '@/components/who/mayPlan';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { PageHead } from '@/components/PageHead/PageHead';
import { nowMs } from '@/components/nowMs';
import { buildChanges, carryPlan, carryRoute, settingMinutes, sheetLabels } from '@/core';
import { nextInLessons } from '@/app/_server/comingLessons';
import { settingSetup, type SettingSetup } from '@/app/_server/settingSetup';
import { may } from '../../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { present } from '@/data/present';
import { listLayouts } from '@/data/queries/layouts';
import { listLessons } from '@/data/queries/lessons';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { CarryBoard, type Change } from './_components/CarryBoard';

export const metadata: Metadata = { title: 'From one to the next' };

type Wish = string | string[] | undefined;
type NextPageProps = {
  params: Promise<{ layoutId: string }>;
  searchParams: Promise<{ from?: Wish; to?: Wish; built?: Wish }>;
};

export default async function NextLayoutPage({ params, searchParams }: NextPageProps) {
  const { layoutId } = await params;
  const { from, to, built } = await searchParams;
  const { db, yard } = await yardContext(may.help);
  const here = await settingSetup(db, yard.id, layoutId, from);
  if (!here) notFound();
  const others = present(await listLayouts(db, yard.id)).filter(
    ({ id, arena }) => id !== layoutId && arena.id === here.yardLayout.arena.id,
  );
  const isHere = (id: string) => others.some(other => other.id === id);
  const coming = nextInLessons(present(await listLessons(db, yard.id)), layoutId, nowMs(), isHere);
  // From a stage one goes on to the next stage; as drawn, to what a lesson goes on to.
  const at = here.stages.findIndex(({ key, isAsDrawn }) => (here.stage === null ? isAsDrawn : key === here.stage));
  const stagesOn = here.stages[at + 1]?.key ?? null;
  const goesOnHere = stagesOn !== null && (here.stage !== null || coming === null);
  const isOwn = to === layoutId || (to === undefined && goesOnHere);
  const wanted = isOwn ? layoutId : typeof to === 'string' && isHere(to) ? to : (coming?.layoutId ?? null);
  const stage = isOwn && to === undefined ? stagesOn : built;
  const next = wanted === null ? null : await settingSetup(db, yard.id, wanted, stage);
  return (
    <>
      <FollowThread layout={{ id: layoutId, name: here.yardLayout.name }} />
      <PageHead
        title={`From “${here.yardLayout.name}” to the next`}
        sub={`${here.yardLayout.arena.name}. What is rebuilt, and what is carried where with the least walking.`}
        actions={<LinkButton href={`/set/${layoutId}`}>Back to its sheet</LinkButton>}
      />
      {others.length === 0 && here.stages.length === 0 ? (
        <EmptyState
          title="Nothing else lies in this arena"
          action={
            <ForInstructors>
              <LinkButton href="/plan">To the plan</LinkButton>
            </ForInstructors>
          }
        >
          Plan a second layout on the same sand, and this page says what is carried where.
        </EmptyState>
      ) : (
        <CarryBoard
          layoutId={layoutId}
          here={{ stages: here.stages, stage: here.stage, layout: here.standing?.layout ?? here.layout }}
          others={others.map(({ id, name }) => ({ id, name }))}
          coming={coming}
          next={next && changeTo(here, next)}
        />
      )}
    </>
  );
}

/** What it takes to come from what stands to another layout or stage. */
function changeTo(here: SettingSetup, next: SettingSetup): Change {
  const stands = here.standing?.layout ?? here.layout;
  const plan = carryPlan(stands.items, next.layout.items, here.from);
  const route = carryRoute(plan.loads, here.from);
  const isOwn = next.yardLayout.id === here.yardLayout.id;
  const changes = isOwn ? buildChanges(stands.items, next.layout.items) : [];
  const handled = plan.loads.length + changes.reduce((sum, { items }) => sum + items.length, 0);
  return {
    ...{ id: next.yardLayout.id, name: next.yardLayout.name, stages: next.stages, stage: next.stage },
    ...{ layout: next.layout, plan, route, changes, store: here.from },
    fromNumbers: numbersOf(here.whole, stands),
    toNumbers: numbersOf(next.whole, next.layout),
    minutes: settingMinutes({ walkedM: route.walkedM, measures: 0, handled }),
  };
}

function numbersOf(whole: SettingSetup['whole'], built: SettingSetup['layout']): [string, string][] {
  const numberOf = sheetLabels(whole, built);
  return whole.items.map(({ id }) => [id, numberOf(id)]);
}
