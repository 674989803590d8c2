import { LinkButton } from '@/components/LinkButton/LinkButton';
import { ForInstructors } from '@/components/who/mayPlan';
import { PageHead } from '@/components/PageHead/PageHead';
import { nowMs } from '@/components/nowMs';
import { isItsDay } from '@/app/_server/itsDay';
import { may } from '../../../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { yardTime } from '@/app/_server/yardTime';
import { lessonOverAtMs, lessonState, QUIET_HOURS, type Layout } from '@/core';
import { findArena } from '@/data/queries/arenas';
import { horsesAt } from '@/data/queries/horses';
import { findLesson, lessonTimes } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { versionsById } from '@/data/queries/layoutVersions';
import { planHorse } from '@/data/queries/planGround';
import { lessonLog } from '@/data/queries/recordLog';
import { yardRulesAt } from '@/data/queries/settings';
import { packLog } from '@/files/packedRecord';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { LessonFiles } from '../_components/LessonFiles';
import { LessonRecordBoard } from './_components/LessonRecordBoard';

export const metadata: Metadata = { title: 'Record of a lesson' };

type RecordPageProps = {
  params: Promise<{ lessonId: string }>;
  searchParams: Promise<{ pass?: string | string[] }>;
};

/** What was ridden in a lesson, pass by pass, with the strides and rules of its day; all of it can be put right. */
export default async function RecordPage({ params, searchParams }: RecordPageProps) {
  const { lessonId } = await params;
  const { pass } = await searchParams;
  const { db, yard } = await yardContext(may.help);
  const lesson = await findLesson(db, yard.id, lessonId);
  const answer = lesson && (await lessonLog(db, yard.id, lessonId));
  if (!lesson || !answer) notFound();
  const { name, startsAtMs, plan, arenaId } = lesson;
  const atMs = nowMs();
  const times = await lessonTimes(db, yard.id, lesson);
  const overAtMs = lessonOverAtMs(times, atMs);
  const versions = await versionsById(
    db,
    yard.id,
    answer.log.passes.map(one => one.pass.layoutVersionId),
  );
  const dayMs = times.lastRiddenAtMs ?? startsAtMs;
  const [pairs, horses, rules, arena] = await Promise.all([
    listPairs(db, yard.id),
    horsesAt(db, yard.id, dayMs),
    yardRulesAt(db, yard.id, dayMs),
    findArena(db, yard.id, arenaId),
  ]);
  const inLesson = new Set([...plan.pairIds, ...answer.log.passes.map(one => one.pass.pairId)]);
  const shown = pairs.filter(({ id, archived }) => inLesson.has(id) || !archived);
  const rank = (id: string) => (inLesson.has(id) ? 0 : 1);
  const riding = shown.sort((a, b) => rank(a.id) - rank(b.id));
  return (
    <>
      <PageHead
        title={`Record of ${name}`}
        sub={`${yardTime(startsAtMs, yard.timeZone, 'dddd D MMMM YYYY, HH:mm')}. ${arena?.name ?? ''}`}
        actions={
          <>
            <ForInstructors>
              <LinkButton href={`/ride/lessons/${lessonId}/end`} variant="default">
                Its end
              </LinkButton>
            </ForInstructors>
            <LessonFiles
              lessonId={lessonId}
              pairs={riding
                .filter(({ id }) => inLesson.has(id))
                .map(({ id, horseName, riderName }) => ({ id, name: `${horseName} with ${riderName}` }))}
            />
          </>
        }
      />
      <LessonRecordBoard
        {...{ lessonId, rules }}
        state={lessonState(times, atMs)}
        over={overWords(overAtMs, yard.timeZone)}
        // What is said from now on puts it right: nobody rides any more.
        sinceMs={lesson.endedAtMs ?? (overAtMs === null ? null : overAtMs + QUIET_HOURS * 3600 * 1000)}
        isPast={startsAtMs < atMs}
        isItsDay={isItsDay(startsAtMs, atMs, yard.timeZone)}
        first={{ number: answer.number, log: packLog(answer.log) }}
        openPassId={typeof pass === 'string' ? pass : null}
        layouts={Object.fromEntries([...versions].map(([id, { layout }]): [string, Layout] => [id, layout]))}
        pairs={riding.map(({ id, horseId, horseName, riderName }) => ({
          ...{ id, name: `${horseName} with ${riderName}` },
          strides: planHorse(horses.find(horse => horse.id === horseId)!),
        }))}
        stages={plan.stages.map(({ id, name: stage, questions }) => ({
          ...{ id, name: stage, questions: questions.map(({ question }) => question) },
        }))}
        homeFacingDeg={arena?.marks.homeFacingDeg ?? null}
        timeZone={yard.timeZone}
      />
    </>
  );
}

function overWords(overAtMs: number | null, timeZone: string): string | null {
  return overAtMs === null ? null : yardTime(overAtMs, timeZone, 'dddd D MMMM YYYY, HH:mm');
}
