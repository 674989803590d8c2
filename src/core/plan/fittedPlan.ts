import type { Fit } from '../fit/fitLayout';
import { placeMoved } from '../geometry/frame';
import type { Plan } from './plan';

/**
 * A plan with what a fit moves: an exercise as one, so that it stays what it is; what was laid by hand, item by item.
 * @param fit - of the layout that this plan comes to
 */
export function fittedPlan(plan: Plan, { moved, layout }: Pick<Fit, 'moved' | 'layout'>): Plan {
  const places = new Map(moved.map(({ piece, to }) => [piece.id, { from: piece.pose, to }]));
  const ids = new Set(moved.flatMap(({ piece }) => piece.itemIds));
  const items = new Map(layout.items.map(item => [item.id, item]));
  return {
    ...plan,
    items: plan.items.map(item => (ids.has(item.id) ? (items.get(item.id) ?? item) : item)),
    exercises: plan.exercises.map(exercise => {
      const moves = places.get(exercise.id);
      return moves ? { ...exercise, place: placeMoved(exercise.place, moves.from, moves.to) } : exercise;
    }),
  };
}
