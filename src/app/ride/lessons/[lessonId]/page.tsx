import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { yardContext } from '@/app/_server/yardContext';
import { yardTime } from '@/app/_server/yardTime';
import { findLesson } from '@/data/queries/lessons';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { LessonEditor } from '../_components/LessonEditor';
import { lessonChoices } from '../lessonChoices';
import { CopyLesson } from './_components/CopyLesson';
import { LessonFiles } from './_components/LessonFiles';

export const metadata: Metadata = { title: 'Lesson' };

export default async function LessonPage({ params }: { params: Promise<{ lessonId: string }> }) {
  const { lessonId } = await params;
  const { db, yard } = await yardContext();
  const lesson = await findLesson(db, yard.id, lessonId);
  if (!lesson) notFound();
  const { name, arenaId, startsAtMs, plan } = lesson;
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
            <LessonFiles lessonId={lessonId} pairs={riding} />
            <LinkButton href={`/ride/lessons/${lessonId}/recordings`} variant="default">
              Recordings
            </LinkButton>
            <LinkButton href={`/ride/lessons/${lessonId}/run`}>Run it</LinkButton>
          </>
        }
      />
      <LessonEditor
        key={lessonId}
        lessonId={lessonId}
        first={{ name, arenaId, startsAt: yardTime(startsAtMs, yard.timeZone, 'YYYY-MM-DDTHH:mm'), plan }}
        {...choices}
      />
    </>
  );
}
