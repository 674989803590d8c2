import { newId } from '@/components/newId';
import { breakEvery, type LessonStage } from '@/core';
import { useTransition } from 'react';
import { fittedStagesAction } from '../actions';
import type { LayoutHere, OfferedHere } from '../lessonChoices';

export type AddedStages = {
  stages: LessonStage[];
  /** What of its layout each question is, by its id. */
  offered: Record<string, OfferedHere>;
  why: Record<string, string[]>;
  breakEveryMin: number;
};

/**
 * The stages of a layout for those who ride: fitted by the server, which knows how it went last time; without an answer as the
 * exercises bring them.
 */
export function useStagesOfLayout(onAdd: (added: AddedStages) => void) {
  const [busy, begin] = useTransition();
  const add = (layout: LayoutHere, pairIds: readonly string[]) =>
    begin(async () => {
      const fitted = await fittedStagesAction(layout.id, pairIds).catch(() => null);
      onAdd(fitted?.ok ? withOffers(layout, fitted) : asTheyCome(layout));
    });
  return { busy, add };
}

type Fitted = { stages: { stage: LessonStage; why: string[] }[]; breakEveryMin: number };

function withOffers({ stages: offers }: LayoutHere, { stages, breakEveryMin }: Fitted): AddedStages {
  const same = (what: unknown) => JSON.stringify(what);
  const offered = stages.flatMap(({ stage }) =>
    stage.questions.flatMap(({ question }) => {
      const offer = offers.find(({ asks }) => same(asks.planned.what) === same(question.what));
      return offer ? [[question.id, offer.asks] as const] : [];
    }),
  );
  return {
    stages: stages.map(({ stage }) => stage),
    offered: Object.fromEntries(offered),
    why: Object.fromEntries(stages.map(({ stage, why }) => [stage.id, why])),
    breakEveryMin,
  };
}

function asTheyCome({ stages }: LayoutHere): AddedStages {
  const offered: Record<string, OfferedHere> = {};
  const asked = stages.map(({ asks, ...stage }): LessonStage => {
    const question = { id: newId(), ...asks.planned };
    offered[question.id] = asks;
    return { ...stage, id: newId(), questions: [{ question, ofPairs: {} }] };
  });
  return { stages: asked, offered, why: {}, breakEveryMin: breakEvery([]) };
}
