import type { Fit } from '../fit/fitLayout';
import { movedExercises } from './movedExercises';
import type { Plan } from './plan';

/**
 * A plan with what a fit moves: an exercise as one, so that it stays what it is; what was laid by hand, item by item.
 * @param fit - of the layout that this plan comes to
 */
export function fittedPlan(plan: Plan, { moved, layout }: Pick<Fit, 'moved' | 'layout'>): Plan {
  const ids = new Set(moved.flatMap(({ piece }) => piece.itemIds));
  const items = new Map(layout.items.map(item => [item.id, item]));
  return {
    ...plan,
    items: plan.items.map(item => (ids.has(item.id) ? (items.get(item.id) ?? item) : item)),
    exercises: movedExercises(plan, moved),
  };
}
