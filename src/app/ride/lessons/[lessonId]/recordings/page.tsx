import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { may } from '../../../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { questionsNow } from '@/core';
import { findLesson, lessonRecord } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { stagesToRide } from '../run/stagesToRide';
import { RecordingsBoard } from './_components/RecordingsBoard';

export const metadata: Metadata = { title: 'Recordings' };

export default async function RecordingsPage({ params }: { params: Promise<{ lessonId: string }> }) {
  const { lessonId } = await params;
  const { db, yard } = await yardContext(may.instruct);
  const lesson = await findLesson(db, yard.id, lessonId);
  if (!lesson) notFound();
  const { asks } = await lessonRecord(db, yard.id, lesson);
  const pairs = (await listPairs(db, yard.id)).filter(({ id }) => lesson.plan.pairIds.includes(id));
  const stages = (await stagesToRide(lesson)).flatMap(({ id, name, layout, questions }) => {
    const askedOf = Object.fromEntries(pairs.map(pair => [pair.id, questionsNow(questions, asks, id, pair.id)]));
    const isAsked = Object.values(askedOf).some(own => own.length > 0);
    return layout && isAsked ? [{ id, name, layout: { ...layout, horses: [] }, askedOf }] : [];
  });
  return (
    <>
      <PageHead
        title={`Recordings: ${lesson.name}`}
        sub="A pass from a watch, a phone or hoof sensors."
        actions={
          <LinkButton href={`/ride/lessons/${lessonId}`} variant="default">
            To the lesson
          </LinkButton>
        }
      />
      {pairs.length === 0 || stages.length === 0 ? (
        <EmptyState
          title="Nobody to record yet"
          action={<LinkButton href={`/ride/lessons/${lessonId}`}>To its plan</LinkButton>}
        >
          A recording belongs to a pair and to what a stage asks over a layout: plan both first.
        </EmptyState>
      ) : (
        <RecordingsBoard
          lessonId={lessonId}
          pairs={pairs.map(({ id, horseName, riderName }) => ({ id, name: `${horseName} with ${riderName}` }))}
          stages={stages}
        />
      )}
    </>
  );
}
