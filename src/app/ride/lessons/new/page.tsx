import { nowMs } from '@/components/nowMs';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { may } from '../../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { yardTime } from '@/app/_server/yardTime';
import { fittedStages } from '@/app/_server/fittedStages';
import { USUAL_BREAK_MIN, warmUpStage, type LessonPlan } from '@/core';
import { present } from '@/data/present';
import { listHorses } from '@/data/queries/horses';
import { findLayout } from '@/data/queries/layouts';
import { listPairs } from '@/data/queries/pairs';
import type { Metadata } from 'next';
import { randomUUID } from 'node:crypto';
import { connection } from 'next/server';
import { LessonEditor } from '../_components/LessonEditor';
import { lessonChoices } from '../lessonChoices';

export const metadata: Metadata = { title: 'Plan a lesson' };

const HOUR_MS = 3600 * 1000;

type NewLessonPageProps = { searchParams: Promise<{ layout?: string | string[]; pair?: string | string[] }> };

/** A lesson from nothing; or over a layout, for pairs that were ticked there: then it is planned, and only looked at here. */
export default async function NewLessonPage({ searchParams }: NewLessonPageProps) {
  await connection();
  const { layout: layoutId, pair = [] } = await searchParams;
  const pairIds = typeof pair === 'string' ? [pair] : pair;
  const { db, yard } = await yardContext(may.instruct);
  const layout = typeof layoutId === 'string' ? await findLayout(db, yard.id, layoutId) : null;
  const riding = present(await listPairs(db, yard.id)).filter(({ id }) => pairIds.includes(id));
  const fitted = layout && (await fittedStages(db, yard.id, layout, await listHorses(db, yard.id), riding));
  const plan: LessonPlan = {
    pairIds: riding.map(({ id }) => id),
    stages: fitted ? [warmUpStage(randomUUID()), ...fitted.stages.map(({ stage }) => stage)] : [],
    breakEveryMin: fitted?.breakEveryMin ?? USUAL_BREAK_MIN,
  };
  const choices = await lessonChoices({ id: null, startsAtMs: nowMs() + HOUR_MS, plan });
  const arena = choices.arenas.find(({ id }) => id === layout?.arena.id) ?? choices.arenas[0];
  // The next full hour by the yard's clock, as somebody would begin.
  const startsAt = yardTime(nowMs() + HOUR_MS, yard.timeZone, 'YYYY-MM-DDTHH:00');
  return (
    <>
      <PageHead title="Plan a lesson" sub="When, where and who; then stage by stage what." />
      {arena ? (
        <LessonEditor
          lessonId={null}
          over={layout?.id ?? null}
          first={{
            ...{ name: layout?.name ?? '', arenaId: arena.id, startsAt, revision: null },
            plan,
          }}
          why={Object.fromEntries(fitted?.stages.map(({ stage, why }) => [stage.id, why]) ?? [])}
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
