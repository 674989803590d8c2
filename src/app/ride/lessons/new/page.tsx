import { nowMs } from '@/components/nowMs';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { yardContext } from '@/app/_server/yardContext';
import { yardTime } from '@/app/_server/yardTime';
import { USUAL_BREAK_MIN } from '@/core';
import type { Metadata } from 'next';
import { connection } from 'next/server';
import { LessonEditor } from '../_components/LessonEditor';
import { lessonChoices } from '../lessonChoices';

export const metadata: Metadata = { title: 'Plan a lesson' };

const HOUR_MS = 3600 * 1000;

export default async function NewLessonPage() {
  await connection();
  const { yard } = await yardContext();
  const choices = await lessonChoices(null);
  const arena = choices.arenas[0];
  // The next full hour by the yard's clock, as somebody would begin.
  const startsAt = yardTime(nowMs() + HOUR_MS, yard.timeZone, 'YYYY-MM-DDTHH:00');
  return (
    <>
      <PageHead title="Plan a lesson" sub="When, where and who; then stage by stage what." />
      {arena ? (
        <LessonEditor
          lessonId={null}
          first={{
            ...{ name: '', arenaId: arena.id, startsAt, revision: null },
            plan: { pairIds: [], stages: [], breakEveryMin: USUAL_BREAK_MIN },
          }}
          {...choices}
        />
      ) : (
        <EmptyState title="No arena yet" action={<LinkButton href="/yard">To the yard</LinkButton>}>
          A lesson takes place in an arena: add one in the yard.
        </EmptyState>
      )}
    </>
  );
}
