import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { isInstructor } from '../../../_server/access/isInstructor';
import { may } from '../../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { yardTime } from '@/app/_server/yardTime';
import { findLesson, lessonTimes } from '@/data/queries/lessons';
import { nowMs } from '@/components/nowMs';
import { layoutStride, lessonMinutes, lessonState, seriesMoved } from '@/core';
import { comingAfter, lessonsTogether } from '@/data/queries/lessonSeries';
import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { LessonEditor } from '../_components/LessonEditor';
import { lessonChoices } from '../lessonChoices';
import { AgainAndGroups } from './_components/AgainAndGroups';
import { ArchiveLesson } from './_components/ArchiveLesson';
import { CopyLesson } from './_components/CopyLesson';
import { LessonFiles } from './_components/LessonFiles';
import { TogetherLine, type TogetherLesson } from './_components/TogetherLine';

export const metadata: Metadata = { title: 'Lesson' };

/** A horse whose stride nobody knows is put between the others, metres (common practice, no source). */
const UNKNOWN_STRIDE_M = 3.3;

export default async function LessonPage({ params }: { params: Promise<{ lessonId: string }> }) {
  const { lessonId } = await params;
  const { db, yard, who } = await yardContext(may.help);
  // A helper marks; what is planned is the instructor's.
  if (!isInstructor(who)) redirect(`/ride/lessons/${lessonId}/run`);
  const lesson = await findLesson(db, yard.id, lessonId);
  if (!lesson) notFound();
  const { name, arenaId, startsAtMs, plan, revision } = lesson;
  const state = lessonState(await lessonTimes(db, yard.id, lesson), nowMs());
  const isRidden = state !== 'planned';
  const choices = await lessonChoices({ id: lessonId, startsAtMs, plan });
  const riding = choices.pairs.filter(({ id }) => plan.pairIds.includes(id));
  const { series, groups } = await lessonsTogether(db, yard.id, lessonId);
  const at = (ms: number, format: string) => yardTime(ms, yard.timeZone, format);
  const dated = (lessons: typeof series, format: string): TogetherLesson[] => {
    const moved = seriesMoved(lessons.map(one => at(one.startsAtMs, 'ddd HH:mm')));
    return lessons.map((one, index) => ({
      ...{ id: one.id, when: at(one.startsAtMs, format), isMoved: moved[index]! },
    }));
  };
  return (
    <>
      <PageHead
        title={name}
        sub={yardTime(startsAtMs, yard.timeZone, 'dddd D MMMM YYYY, HH:mm')}
        actions={
          <>
            <CopyLesson lessonId={lessonId} />
            <AgainAndGroups
              lessonId={lessonId}
              isPlanned={state === 'planned'}
              minutes={lessonMinutes(plan)}
              pairs={riding.map(({ id, name: pair, strides }) => ({
                ...{ id, name: pair },
                strideM: layoutStride(strides, 'course-canter', 'course')?.normalM ?? UNKNOWN_STRIDE_M,
              }))}
            />
            <ArchiveLesson lessonId={lessonId} archived={lesson.archived} />
            <LessonFiles
              lessonId={lessonId}
              pairs={riding}
              layouts={choices.layouts.filter(({ id }) => plan.stages.some(({ layoutId }) => layoutId === id))}
            />
            <LinkButton href={`/ride/lessons/${lessonId}/recordings`} variant="default">
              Recordings
            </LinkButton>
            {isRidden && (
              <LinkButton href={`/ride/lessons/${lessonId}/record`} variant="default">
                Its record
              </LinkButton>
            )}
            {state === 'ended' && <LinkButton href={`/ride/lessons/${lessonId}/end`}>Its end</LinkButton>}
            {(state === 'planned' || state === 'running') && (
              <LinkButton href={`/ride/lessons/${lessonId}/run`}>{isRidden ? 'Go on teaching' : 'Run it'}</LinkButton>
            )}
          </>
        }
      />
      <TogetherLine
        lessonId={lessonId}
        series={dated(series, 'ddd D MMM, HH:mm')}
        groups={dated(groups, 'HH:mm').map(group => ({ ...group, isMoved: false }))}
        coming={comingAfter(series, lesson).length}
      />
      <LessonEditor
        key={`${lessonId} ${groups.length}`}
        lessonId={lessonId}
        first={{ name, arenaId, startsAt: yardTime(startsAtMs, yard.timeZone, 'YYYY-MM-DDTHH:mm'), plan, revision }}
        isRidden={isRidden}
        {...choices}
      />
    </>
  );
}
