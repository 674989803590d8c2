import type { Refit } from '../fit/refitLayout';
import { placeMoved } from '../geometry/frame';
import type { Plan } from './plan';

/** A plan as it lies on another sand: exercises whole, what was laid by hand item by item, tracks with what they go through. */
export function refittedPlan(plan: Plan, { layout, moved }: Pick<Refit, 'layout' | 'moved'>): Plan {
  const items = new Map(layout.items.map(item => [item.id, item]));
  const tracks = new Map(layout.tracks.map(track => [track.id, track]));
  const places = new Map(moved.map(({ piece, to }) => [piece.id, { from: piece.pose, to }]));
  return {
    ...plan,
    items: plan.items.map(item => items.get(item.id) ?? item),
    tracks: plan.tracks.map(track => tracks.get(track.id) ?? track),
    exercises: plan.exercises.map(exercise => {
      const moves = places.get(exercise.id);
      return moves ? { ...exercise, place: placeMoved(exercise.place, moves.from, moves.to) } : exercise;
    }),
  };
}
