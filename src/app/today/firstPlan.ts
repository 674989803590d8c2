import 'server-only';
import { composedPlan, EMPTY_PLAN, findRecipe, placeExercise, resolvePlan, type Plan, type PlanGround } from '@/core';
import { randomUUID } from 'node:crypto';
import { heavyWork } from '../_server/heavy/heavyWork';
import type { FIRST_LAYOUTS } from './firstChoices';

/**
 * The first plan of a yard, for every horse of its ground; null where no such course goes on this sand for them without a caution.
 * @param ground - the sand and the horses, which are its group
 */
export async function firstPlan(first: (typeof FIRST_LAYOUTS)[number], ground: PlanGround): Promise<Plan | null> {
  const groupIds = ground.horses.map(({ id }) => id);
  const empty = { ...EMPTY_PLAN, groupIds };
  if ('fences' in first) {
    const { arena, fall, horses, school, kit, items } = resolvePlan(empty, ground).layout;
    const { fences, heightM } = first;
    const wish = { arena, fall, horses, school, kit, standing: items, fences, heightM, proposals: 1 };
    const [proposal] = await heavyWork('compose', wish);
    return proposal ? composedPlan(empty, proposal, randomUUID) : null;
  }
  const recipe = findRecipe(first.key)!;
  return placeExercise(empty, ground, { id: 'first', recipe, rein: 'left', horseIds: null, session: null }).plan;
}
