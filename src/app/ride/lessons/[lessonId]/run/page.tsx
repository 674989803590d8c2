import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { nowMs } from '@/components/nowMs';
import { yardContext } from '@/app/_server/yardContext';
import { weekOf } from '@/app/_server/yardTime';
import { NO_EARLIER_WORK, type Layout } from '@/core';
import { findArena } from '@/data/queries/arenas';
import { earlierWork } from '@/data/queries/earlierWork';
import { listHorses } from '@/data/queries/horses';
import { yardRules } from '@/data/queries/settings';
import { findLesson, lessonRecord } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { versionsRidden } from '@/data/queries/passes';
import { planHorse } from '@/data/queries/planGround';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { RunLesson } from './_components/RunLesson';
import type { RunPair } from './runStage';
import { lessonCautions, stagesToRide } from './stagesToRide';

export const metadata: Metadata = { title: 'Lesson' };

export default async function RunLessonPage({ params }: { params: Promise<{ lessonId: string }> }) {
  const { lessonId } = await params;
  const { db, yard } = await yardContext();
  const lesson = await findLesson(db, yard.id, lessonId);
  if (!lesson) notFound();
  const { name, plan, startsAtMs, arenaId } = lesson;
  const riding = (await listPairs(db, yard.id))
    .filter(({ id }) => plan.pairIds.includes(id))
    .sort((a, b) => plan.pairIds.indexOf(a.id) - plan.pairIds.indexOf(b.id));
  if (riding.length === 0 || plan.stages.length === 0)
    return (
      <EmptyState
        title={riding.length === 0 ? 'Nobody rides in this lesson yet' : 'This lesson has no stages yet'}
        action={<LinkButton href={`/ride/lessons/${lessonId}`}>To its plan</LinkButton>}
      >
        A lesson needs a pair and a stage before it can be ridden.
      </EmptyState>
    );
  const stages = await stagesToRide(lesson);
  const [record, rules, earlier, horses, arena] = await Promise.all([
    lessonRecord(db, yard.id, lesson),
    yardRules(db, yard.id),
    earlierWork(db, yard.id, weekOf(startsAtMs, yard.timeZone), lessonId, nowMs()),
    listHorses(db, yard.id),
    findArena(db, yard.id, arenaId),
  ]);
  const pairs = riding.map(({ id, horseId, horseName, riderName }): RunPair => ({
    ...{ id, horseId, horse: horseName, rider: riderName, earlier: earlier.get(horseId) ?? NO_EARLIER_WORK },
    strides: planHorse(horses.find(horse => horse.id === horseId)!),
  }));
  const ridden = await versionsRidden(
    db,
    yard.id,
    record.passes.map(({ layoutVersionId }) => layoutVersionId),
  );
  const layouts: Record<string, Layout> = Object.fromEntries([
    ...[...ridden].map(([id, { layout }]) => [id, layout] as const),
    ...stages.flatMap(({ versionId, layout }) => (versionId && layout ? [[versionId, layout] as const] : [])),
  ]);
  return (
    <RunLesson
      {...{ lessonId, name, startsAtMs, breakEveryMin: plan.breakEveryMin, rules, pairs, stages, layouts }}
      homeFacingDeg={arena?.marks.homeFacingDeg ?? null}
      cautions={lessonCautions(
        stages,
        pairs.map(({ id, horse, rider, strides }) => ({ id, name: `${horse} with ${rider}`, strides })),
      )}
      firstRecord={record}
    />
  );
}
