import 'server-only';
import { asToday, layoutOffers, type QuestionToday } from '@/data/queries/layoutStages';
import {
  AS_LAID_OUT,
  NO_EARLIER_WORK,
  offeredRiderWork,
  questionWords,
  type Layout,
  type LessonPlan,
  type LessonStage,
} from '@/core';
import { nowMs } from '@/components/nowMs';
import { may } from '../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { toldApart } from '@/app/_server/toldApart';
import { riddenStrides } from '@/app/_server/yardStrides';
import { weekOf, yardTime } from '@/app/_server/yardTime';
import { earlierWork } from '@/data/queries/earlierWork';
import { lessonClashes, type Clash } from '@/data/queries/lessonClashes';
import { listHorses } from '@/data/queries/horses';
import { yardRules } from '@/data/queries/settings';
import { present } from '@/data/present';
import { listArenas } from '@/data/queries/arenas';
import { listLayouts } from '@/data/queries/layouts';
import { listPairs } from '@/data/queries/pairs';
import { planHorse } from '@/data/queries/planGround';

/** A question as an editor offers it: as it would be planned, and as the layout has it today. */
export type OfferedHere = { planned: Omit<QuestionToday['question'], 'id'>; today: QuestionToday };

/** A layout that a lesson may be ridden over. */
export type LayoutHere = {
  id: string;
  name: string;
  arenaId: string;
  layout: Layout;
  stages: (Omit<LessonStage, 'id' | 'questions'> & { asks: OfferedHere })[];
  questions: OfferedHere[];
};

/**
 * What a lesson can be made of, what its horses do besides on its day, and who is double-booked.
 * @param planned - `id`: null for one that is not kept yet
 */
export async function lessonChoices(planned: { id: string | null; startsAtMs: number; plan: LessonPlan }) {
  const { db, yard } = await yardContext(may.instruct);
  const pairs = present(await listPairs(db, yard.id));
  const horses = await listHorses(db, yard.id);
  const week = weekOf(planned.startsAtMs, yard.timeZone);
  const byHorse = await earlierWork(db, yard.id, week, planned.id ?? '', nowMs());
  const lately = await riddenStrides(db, yard);
  const today: Record<string, QuestionToday> = {};
  const layouts: LayoutHere[] = [];
  const here = present(await listLayouts(db, yard.id));
  const names = toldApart(here, ({ updatedAt }) => yardTime(updatedAt.getTime(), yard.timeZone, 'D MMM YYYY, HH:mm'));
  for (const layout of here) {
    const { resolved, questions, stages } = await layoutOffers(db, yard.id, layout, horses);
    const offered = (asks: OfferedHere['planned']): OfferedHere[] => {
      const now = asToday({ ...asks, id: 'offered' }, resolved);
      return now ? [{ planned: asks, today: now }] : [];
    };
    for (const stage of planned.plan.stages)
      if (stage.layoutId === layout.id)
        for (const { question } of stage.questions) {
          // What a lesson changes of it is laid over this by whoever edits it.
          const now = asToday({ ...question, state: AS_LAID_OUT, asked: [] }, resolved);
          if (now) today[question.id] = now;
        }
    layouts.push({
      ...{
        id: layout.id,
        name: names.get(layout.id)!,
        arenaId: layout.arena.id,
        layout: { ...resolved.layout, horses: [] },
      },
      stages: stages.flatMap(({ asks, ...stage }) => offered(asks).map(one => ({ ...stage, asks: one }))),
      questions: questions.flatMap(asks =>
        offered(asks).map(one => ({
          ...one,
          today: { ...one.today, words: wordsOfOffer(asks, resolved.layout, one.today.words) },
        })),
      ),
    });
  }
  const { limits, riderMarks, riderWork } = await yardRules(db, yard.id);
  return {
    arenas: present(await listArenas(db, yard.id)).map(({ id, name }) => ({ id, name })),
    ...{ limits, riderMarks, riderWork: offeredRiderWork(riderWork) },
    pairs: pairs.map(({ id, riderName, horseName, horseId }) => ({
      ...{ id, horseId, name: `${horseName} with ${riderName}` },
      ...{ horse: horseName, rider: riderName },
      ...{ earlier: byHorse.get(horseId) ?? NO_EARLIER_WORK },
      strides: planHorse(horses.find(horse => horse.id === horseId)!),
      lately: lately[horseId] ?? [],
    })),
    layouts,
    /** What is planned, as its layout has it today, by the id of the question. */
    today,
    clashes: planned.id === null ? ([] as Clash[]) : await lessonClashes(db, yard.id, planned.id),
  };
}

/** In a list, a stage says which exercise it is of. */
function wordsOfOffer({ what }: OfferedHere['planned'], layout: Layout, words: string): string {
  if (what.kind !== 'stage') return words;
  return `${questionWords(layout, { name: null, what: what.over })}: ${words.charAt(0).toLowerCase()}${words.slice(1)}`;
}
