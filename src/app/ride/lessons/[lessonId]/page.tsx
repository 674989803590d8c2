import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { yardContext } from '@/app/_server/yardContext';
import { yardTime } from '@/app/_server/yardTime';
import { findLesson, lessonTimes } from '@/data/queries/lessons';
import { nowMs } from '@/components/nowMs';
import { lessonState } from '@/core';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { LessonEditor } from '../_components/LessonEditor';
import { lessonChoices } from '../lessonChoices';
import { ArchiveLesson } from './_components/ArchiveLesson';
import { CopyLesson } from './_components/CopyLesson';
import { LessonFiles } from './_components/LessonFiles';

export const metadata: Metadata = { title: 'Lesson' };

export default async function LessonPage({ params }: { params: Promise<{ lessonId: string }> }) {
  const { lessonId } = await params;
  const { db, yard } = await yardContext();
  const lesson = await findLesson(db, yard.id, lessonId);
  if (!lesson) notFound();
  const { name, arenaId, startsAtMs, plan, revision } = lesson;
  const state = lessonState(await lessonTimes(db, yard.id, lesson), nowMs());
  const isRidden = state !== 'planned';
  const choices = await lessonChoices({ id: lessonId, startsAtMs, plan });
  const riding = choices.pairs.filter(({ id }) => plan.pairIds.includes(id));
  return (
    <>
      <PageHead
        title={name}
        sub={yardTime(startsAtMs, yard.timeZone, 'dddd D MMMM YYYY, HH:mm')}
        actions={
          <>
            <CopyLesson lessonId={lessonId} />
            <ArchiveLesson lessonId={lessonId} archived={lesson.archived} />
            <LessonFiles lessonId={lessonId} pairs={riding} />
            <LinkButton href={`/ride/lessons/${lessonId}/recordings`} variant="default">
              Recordings
            </LinkButton>
            {isRidden && (
              <LinkButton
                href={`/ride/lessons/${lessonId}/record`}
                variant={state === 'running' ? 'default' : 'filled'}
              >
                Its record
              </LinkButton>
            )}
            {(state === 'planned' || state === 'running') && (
              <LinkButton href={`/ride/lessons/${lessonId}/run`}>{isRidden ? 'Go on teaching' : 'Run it'}</LinkButton>
            )}
          </>
        }
      />
      <LessonEditor
        key={lessonId}
        lessonId={lessonId}
        first={{ name, arenaId, startsAt: yardTime(startsAtMs, yard.timeZone, 'YYYY-MM-DDTHH:mm'), plan, revision }}
        isRidden={isRidden}
        {...choices}
      />
    </>
  );
}
