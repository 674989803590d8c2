import type { Refit } from '../fit/refitLayout';
import { movedExercises } from './movedExercises';
import type { Plan } from './plan';

/** A plan as it lies on another sand: exercises whole, what was laid by hand item by item, tracks with what they go through. */
export function refittedPlan(plan: Plan, { layout, moved }: Pick<Refit, 'layout' | 'moved'>): Plan {
  const items = new Map(layout.items.map(item => [item.id, item]));
  const tracks = new Map(layout.tracks.map(track => [track.id, track]));
  return {
    ...plan,
    items: plan.items.map(item => items.get(item.id) ?? item),
    tracks: plan.tracks.map(track => tracks.get(track.id) ?? track),
    exercises: movedExercises(plan, moved),
  };
}
