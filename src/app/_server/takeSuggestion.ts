import 'server-only';
import { randomUUID } from 'node:crypto';
import {
  type AskedStage,
  breakEvery,
  EMPTY_PLAN,
  findRecipe,
  type LessonPlan,
  type LessonStage,
  placeExercise,
  questionsOver,
  sayGaits,
  sideBySide,
  warmUpStage,
} from '@/core';
import { DatabaseRefused } from '@/data/databaseRefused';
import { findArena } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { listKit } from '@/data/queries/kit';
import { addLayout, findLayout } from '@/data/queries/layouts';
import type { Layout } from '@/data/queries/layout';
import { layoutOffers, type LayoutOffers } from '@/data/queries/layoutStages';
import { saveLesson } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { kitCounts, planGround, planHorse } from '@/data/queries/planGround';
import { yardRules } from '@/data/queries/settings';
import type { Transaction } from '@/data/database';

/** A suggestion as it is taken: what of which exercise is ridden by whom, where and when. */
export type TakenSuggestion = {
  pairIds: readonly string[];
  arenaId: string;
  startsAtMs: number;
  exercise: string;
  /** The layout of the yard that it is ridden over; null for a new one. */
  layoutId: string | null;
  series: readonly { stage: number; eachRein: number }[];
  /** The stage that comes next for each pair, in their order. */
  next: readonly number[];
};

const GONE = 'What was suggested is not there any more: ask anew.';

/** Makes the lesson of a suggestion, with its layout where it has none yet. Returns the lesson’s id. */
export async function takeSuggestion(tx: Transaction, yardId: string, taken: TakenSuggestion): Promise<string> {
  const { arenaId, startsAtMs, exercise } = taken;
  const { layout, isNew } = await layoutFor(tx, yardId, taken);
  const offers = await layoutOffers(tx, yardId, layout);
  const plan = await suggestedPlan(tx, yardId, taken, layout, offers);
  const name = isNew ? await titleSaid(tx, yardId, findRecipe(exercise)?.guidance.title ?? layout.name) : layout.name;
  return saveLesson(tx, yardId, { name: name.slice(0, 60), arenaId, startsAtMs, plan });
}

/** What an exercise is called in this yard. */
const titleSaid = async (tx: Transaction, yardId: string, title: string) =>
  sayGaits(title, (await yardRules(tx, yardId)).gaitWords);

/** The layout that is named, or one that is laid out for these horses as it was shown. */
async function layoutFor(
  tx: Transaction,
  yardId: string,
  { layoutId, arenaId, exercise, pairIds }: TakenSuggestion,
): Promise<{ layout: Layout; isNew: boolean }> {
  if (layoutId !== null) {
    const there = await findLayout(tx, yardId, layoutId);
    if (there?.arena.id !== arenaId || there.archived) throw new DatabaseRefused(GONE);
    return { layout: there, isNew: false };
  }
  const recipe = findRecipe(exercise);
  const arena = await findArena(tx, yardId, arenaId);
  if (!recipe || !arena) throw new DatabaseRefused(GONE);
  const horses = await listHorses(tx, yardId);
  const pairs = await listPairs(tx, yardId);
  const horseIds = [...new Set(pairIds.flatMap(id => pairs.find(pair => pair.id === id)?.horseId ?? []))];
  const kit = kitCounts(await listKit(tx, yardId));
  const title = await titleSaid(tx, yardId, recipe.guidance.title);
  const ground = planGround(title, arena, horses, kit, await yardRules(tx, yardId));
  const wanted = { id: randomUUID(), recipe, rein: 'left' as const, horseIds: null, session: null };
  const { plan } = placeExercise({ ...EMPTY_PLAN, groupIds: horseIds }, ground, wanted);
  const newId = await addLayout(tx, yardId, { name: title.slice(0, 60), arenaId, plan });
  return { layout: (await findLayout(tx, yardId, newId))!, isNew: true };
}

/** The plan of a lesson that rides a series over a layout. */
export async function suggestedPlan(
  tx: Transaction,
  yardId: string,
  { pairIds, exercise, series, next }: Pick<TakenSuggestion, 'pairIds' | 'exercise' | 'series' | 'next'>,
  layout: Layout,
  offers: LayoutOffers,
): Promise<LessonPlan> {
  const questions = questionsOver(offers.resolved, exercise, layout.id);
  const stages = series.map(one => {
    const asked = questions[one.stage];
    if (!asked) throw new DatabaseRefused(GONE);
    return { ...one, name: asked.offered.name ?? layout.name, ...asked };
  });
  const horses = await listHorses(tx, yardId);
  const riding = (await listPairs(tx, yardId)).filter(({ id }) => pairIds.includes(id));
  const levels = riding.map(({ horseId }) => planHorse(horses.find(({ id }) => id === horseId)!).level);
  const together = sideBySide({
    ...{ stages, pairIds, layout: offers.resolved.layout },
    next: next.map(stage => ({ stage })),
  });
  return {
    pairIds: [...pairIds],
    stages: [warmUpStage(randomUUID()), ...together.map(stage => lessonStage(stage, layout.id, offers))],
    breakEveryMin: breakEvery(levels),
  };
}

/** A stage as the layout offers it to any lesson, asked as often and of whom as it was suggested. */
function lessonStage({ offered, eachRein, minutes, ofPairs }: AskedStage, layoutId: string, offers: LayoutOffers) {
  const same = JSON.stringify(offered.what);
  const usual = offers.stages.find(({ asks }) => JSON.stringify(asks.what) === same);
  if (!usual) throw new DatabaseRefused(GONE);
  const { asks, ...stage } = usual;
  const questions = [{ question: { id: randomUUID(), ...asks }, ofPairs }];
  return { ...stage, id: randomUUID(), layoutId, eachRein, minutes, questions } satisfies LessonStage;
}
