import { paramsFault } from '../exercises/exerciseParams';
import { findRecipe } from '../exercises/shelf';
import type { Plan } from './plan';
import type { ResolvedPlan } from './resolvePlan';
import type { TypedDistance } from './typedDistance';

/** An exercise with one more piece at its end: another pole, another fence, another element of a grid. */
export function oneMore(plan: Plan, { exercises }: Pick<ResolvedPlan, 'exercises'>, id: string): TypedDistance {
  const exercise = exercises.find(({ placed }) => placed.id === id);
  const recipe = exercise && findRecipe(exercise.placed.kind);
  if (!exercise || !recipe?.oneMore) return { ok: false, reason: 'This exercise always has as many pieces.' };
  const params = recipe.oneMore(exercise.params);
  const fault = paramsFault(recipe, exercise.params, params);
  if (params === exercise.params || fault)
    return { ok: false, reason: fault ? `No more: ${fault}.` : 'It has as many as it can have.' };
  const placed = { ...exercise.placed, params };
  return {
    ok: true,
    plan: { ...plan, exercises: plan.exercises.map(one => (one.id === id ? placed : one)) },
    apart: [],
  };
}
