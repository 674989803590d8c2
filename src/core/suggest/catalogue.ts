import type { Recipe } from '../exercises/exercise';
import { isForGaited, isForRider, SHELF } from '../exercises/shelf';
import { rideTime } from '../lesson/stageMinutes';
import { resolvePlan } from '../plan/layOutPlaced';
import { EMPTY_PLAN, type PlacedRecipe, type Plan } from '../plan/plan';
import { exerciseGround, type PlanGround, type ResolvedPlan } from '../plan/resolvePlan';
import { askedLayout } from '../question/askedLayout';
import { offeredQuestions, questionToday, type OfferedQuestion } from '../question/offeredQuestions';
import type { Question } from '../question/question';
import { hasReins, waysToRide } from '../question/waysToRide';
import { questionWork } from '../work/questionWork';
import { workKindOf } from '../work/workKindOf';
import type { ExerciseFacts, StageFacts } from './step';

/** What is measured or rested in, and not taught by. */
const NO_LESSON = new Set(['stride-test-lane', 'flexions', 'free-walk', 'loose-rein', 'halt-and-pat']);

/** The exercises of the shelf that a lesson can be made of. */
export const TAUGHT: readonly Recipe[] = SHELF.filter(recipe => !NO_LESSON.has(recipe.kind) && !isForRider(recipe));

/** The id of an exercise that is laid out for a suggestion. */
export const SUGGESTED_ID = 'suggested';

/** A plan with one exercise for some horses, as it usually lies; null where it cannot be laid out here. */
export function sketchedPlan(recipe: Recipe, ground: PlanGround, groupIds: readonly string[]): ResolvedPlan | null {
  const plan: Plan = { ...EMPTY_PLAN, groupIds: [...groupIds] };
  const on = exerciseGround(plan, { horseIds: null }, ground);
  const params = recipe.wishes(on)[0];
  if (!params) return null;
  const placed: PlacedRecipe = {
    ...{ id: SUGGESTED_ID, name: null, kind: recipe.kind, rein: 'left', params, place: recipe.place(on, params) },
    ...{ horseIds: null, session: null },
  };
  const resolved = resolvePlan({ ...plan, exercises: [placed] }, ground);
  return resolved.exercises.length === 0 ? null : resolved;
}

/** The question of each stage of the one exercise of a plan, in order, as it is laid out. */
export function stageQuestions(resolved: ResolvedPlan): { offered: OfferedQuestion; today: Question }[] {
  return offeredQuestions(resolved).flatMap(offered => {
    if (offered.what.kind !== 'stage') return [];
    const today = questionToday({ ...offered, id: 'asked' }, resolved);
    return today ? [{ offered, today }] : [];
  });
}

/** What each exercise of the shelf is on a sand for some horses; what cannot be laid out there is left out. */
export function catalogueOf(ground: PlanGround, groupIds: readonly string[]): ExerciseFacts[] {
  const group = ground.horses.filter(({ id }) => groupIds.includes(id));
  const areGaited = group.length > 0 && group.every(({ type }) => type === 'gaited');
  return TAUGHT.filter(recipe => areGaited || !isForGaited(recipe)).flatMap(recipe => {
    const resolved = sketchedPlan(recipe, ground, groupIds);
    const stages = resolved === null ? [] : stagesOf(resolved, recipe);
    if (stages.length === 0) return [];
    const { title, purposes, level } = recipe.guidance;
    return [{ exercise: recipe.kind, title, purposes, level, stages }];
  });
}

function stagesOf(resolved: ResolvedPlan, { guidance }: Recipe): StageFacts[] {
  return stageQuestions(resolved).flatMap(({ offered, today }): StageFacts[] => {
    const asked = askedLayout({ ...resolved.layout, horses: [] }, today);
    const time = rideTime(resolved.layout, today);
    if (!asked || !time) return [];
    const work = questionWork(asked);
    return [
      {
        ...{
          name: offered.name ?? '',
          kind: workKindOf(work),
          gait: today.gait,
          hasReins: hasReins(waysToRide(asked)),
        },
        ...{ work, rideTime: time, eachRein: guidance.repetitions.eachRein },
      },
    ];
  });
}
