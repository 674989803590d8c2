import { exerciseOnSand, wholeParams } from '../exercises/layOutExercise';
import { findRecipe } from '../exercises/shelf';
import type { Plan } from './plan';
import { planResolver, type LaidOut, type LayOut, type PlanGround, type ResolvedPlan } from './resolvePlan';

/** Lays out an exercise of a plan by its recipe on the shelf. */
export const layOutPlaced = ((placed, ground): LaidOut => {
  const recipe = findRecipe(placed.kind);
  if (!recipe) return { ok: false, reason: `The shelf has no exercise “${placed.kind}”.` };
  const { guidance } = recipe;
  try {
    const laid = exerciseOnSand(recipe, ground, placed);
    if (laid.items.every(({ at }) => Number.isFinite(at.xM) && Number.isFinite(at.yM)))
      return {
        ...{ ok: true, guidance, laid, params: wholeParams(recipe, ground, placed.params) },
        can: { type: recipe.typed !== undefined, grow: recipe.oneMore !== undefined },
      };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
  }
  return { ok: false, reason: `“${guidance.title}” cannot be laid out so: change what it asks.` };
}) satisfies LayOut;

/** The layout of a plan, with every exercise laid out anew. */
export function resolvePlan(plan: Plan, ground: PlanGround): ResolvedPlan {
  return planResolver(layOutPlaced)(plan, ground);
}
