import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { ForInstructors } from '@/components/who/mayPlan';
import { nowMs } from '@/components/nowMs';
import { isItsDay } from '@/app/_server/itsDay';
import { lessonSetup } from '@/app/_server/lessonSetup';
import { may } from '../../../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { weekOf, yardTime } from '@/app/_server/yardTime';
import { lessonState, NO_EARLIER_WORK, standingPasses, type Layout } from '@/core';
import { findArena } from '@/data/queries/arenas';
import { earlierWork } from '@/data/queries/earlierWork';
import { listHorses } from '@/data/queries/horses';
import { yardRules } from '@/data/queries/settings';
import { findLesson, lessonTimes } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { versionsById } from '@/data/queries/layoutVersions';
import { planHorse } from '@/data/queries/planGround';
import { lessonLog } from '@/data/queries/recordLog';
import { packLog } from '@/files/packedRecord';
import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { RunLessonApart } from './_components/RunLessonApart';
import type { RunPair } from './runStage';
import { lessonCautions, stagesToRide } from './stagesToRide';

export const metadata: Metadata = { title: 'Lesson' };

type RunLessonPageProps = {
  params: Promise<{ lessonId: string }>;
  searchParams: Promise<{ write?: string | string[] }>;
};

export default async function RunLessonPage({ params, searchParams }: RunLessonPageProps) {
  const { lessonId } = await params;
  const { db, yard } = await yardContext(may.help);
  const lesson = await findLesson(db, yard.id, lessonId);
  if (!lesson) notFound();
  // Before anything that it stands for is read: what is changed meanwhile is asked for once more, and never taken for known.
  const setup = await lessonSetup(db, yard.id, lesson);
  const { name, plan, startsAtMs, arenaId } = lesson;
  const atMs = nowMs();
  const state = lessonState(await lessonTimes(db, yard.id, lesson), atMs);
  // What is written down afterwards has the times of a day that lies back.
  const writes = (await searchParams).write === '1' && startsAtMs < atMs && state !== 'running';
  if ((state === 'ended' || state === 'archived') && !writes) redirect(`/ride/lessons/${lessonId}/record`);
  const { log, number } = (await lessonLog(db, yard.id, lessonId))!;
  const record = { passes: standingPasses(log) };
  const recorded = new Set(log.passes.map(({ pass }) => pass.pairId));
  const all = await listPairs(db, yard.id);
  const riding = all
    .filter(({ id }) => plan.pairIds.includes(id) || recorded.has(id))
    .sort((a, b) => plan.pairIds.indexOf(a.id) - plan.pairIds.indexOf(b.id));
  if (plan.stages.length === 0)
    return (
      <EmptyState
        title="This lesson has no stages yet"
        action={
          <ForInstructors>
            <LinkButton href={`/ride/lessons/${lessonId}`}>To its plan</LinkButton>
          </ForInstructors>
        }
      >
        A lesson needs a stage before it can be ridden.
      </EmptyState>
    );
  const riddenIds = writes ? record.passes.map(({ layoutVersionId }) => layoutVersionId) : [];
  const stages = await stagesToRide(lesson, riddenIds);
  const [rules, earlier, horses, arena] = await Promise.all([
    yardRules(db, yard.id),
    earlierWork(db, yard.id, weekOf(startsAtMs, yard.timeZone), lessonId, atMs),
    listHorses(db, yard.id),
    findArena(db, yard.id, arenaId),
  ]);
  const pairs = riding.map(({ id, horseId, horseName, riderName }): RunPair => ({
    ...{ id, horseId, horse: horseName, rider: riderName, earlier: earlier.get(horseId) ?? NO_EARLIER_WORK },
    strides: planHorse(horses.find(horse => horse.id === horseId)!),
    planned: plan.pairIds.includes(id),
  }));
  const ridden = await versionsById(
    db,
    yard.id,
    log.passes.map(({ pass }) => pass.layoutVersionId),
  );
  const layouts: Record<string, Layout> = Object.fromEntries([
    ...[...ridden].map(([id, { layout }]) => [id, layout] as const),
    ...stages.flatMap(({ versionId, layout }) => (versionId && layout ? [[versionId, layout] as const] : [])),
  ]);
  return (
    <RunLessonApart
      {...{ lessonId, name, startsAtMs, breakEveryMin: plan.breakEveryMin, rules, pairs, stages, layouts }}
      homeFacingDeg={arena?.marks.homeFacingDeg ?? null}
      cautions={lessonCautions(
        stages,
        pairs
          .filter(({ planned }) => planned)
          .map(({ id, horse, rider, strides }) => ({ id, name: `${horse} with ${rider}`, strides })),
      )}
      yardPairs={all
        .filter(({ archived }) => !archived)
        .map(({ id, horseId, horseName, riderId, riderName }) => {
          const heightM = horses.find(horse => horse.id === horseId)!.heightM;
          return { id, horse: { id: horseId, name: horseName, heightM }, rider: { id: riderId, name: riderName } };
        })}
      first={{ number, log: packLog(log) }}
      timeZone={yard.timeZone}
      madeAtMs={atMs}
      isItsDay={isItsDay(startsAtMs, atMs, yard.timeZone)}
      setup={setup}
      writtenDownFor={writes ? yardTime(startsAtMs, yard.timeZone, 'dddd D MMMM YYYY') : null}
    />
  );
}
