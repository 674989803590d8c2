import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { yardContext } from '@/app/_server/yardContext';
import { weekOf } from '@/app/_server/yardTime';
import { NO_EARLIER_WORK } from '@/core';
import { earlierWork } from '@/data/queries/earlierWork';
import { yardRules } from '@/data/queries/settings';
import { findLesson, lessonRecord } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { RunLesson } from './_components/RunLesson';
import { stagesToRide, worksOf } from './stagesToRide';

export const metadata: Metadata = { title: 'Lesson' };

export default async function RunLessonPage({ params }: { params: Promise<{ lessonId: string }> }) {
  const { lessonId } = await params;
  const { db, yard } = await yardContext();
  const lesson = await findLesson(db, yard.id, lessonId);
  if (!lesson) notFound();
  const { name, plan, startsAtMs } = lesson;
  const pairs = (await listPairs(db, yard.id))
    .filter(({ id }) => plan.pairIds.includes(id))
    .sort((a, b) => plan.pairIds.indexOf(a.id) - plan.pairIds.indexOf(b.id));
  if (pairs.length === 0 || plan.stages.length === 0)
    return (
      <EmptyState
        title={pairs.length === 0 ? 'Nobody rides in this lesson yet' : 'This lesson has no stages yet'}
        action={<LinkButton href={`/ride/lessons/${lessonId}`}>To its plan</LinkButton>}
      >
        A lesson needs a pair and a stage before it can be ridden.
      </EmptyState>
    );
  const stages = await stagesToRide(lesson);
  const [record, rules, earlier] = await Promise.all([
    lessonRecord(db, yard.id, lesson),
    yardRules(db, yard.id),
    earlierWork(db, yard.id, weekOf(startsAtMs, yard.timeZone), lessonId),
  ]);
  return (
    <RunLesson
      lessonId={lessonId}
      name={name}
      startsAtMs={startsAtMs}
      breakEveryMin={plan.breakEveryMin}
      rules={rules}
      pairs={pairs.map(({ id, horseId, horseName, riderName }) => ({
        ...{ id, horse: horseName, rider: riderName },
        earlier: earlier.get(horseId) ?? NO_EARLIER_WORK,
      }))}
      stages={stages}
      works={await worksOf(stages, record)}
      firstRecord={record}
    />
  );
}
