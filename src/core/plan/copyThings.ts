import type { PointM } from '../geometry/pointM';
import type { PlannedTrack } from '../layout/layout';
import { copyName } from './names';
import type { Plan } from './plan';
import { moveThings } from './things';

export type Copied = { plan: Plan; ids: string[] };

/** Copies things beside themselves, with the tracks that ride over them alone. Copies are not locked. */
export function copyThings(plan: Plan, ids: readonly string[], by: PointM): Copied {
  let next = plan;
  const names = new Map<string, string>();
  for (const item of plan.items.filter(one => ids.includes(one.id))) {
    const id = copyName(next, item.id);
    names.set(item.id, id);
    next = { ...next, items: [...next.items, { ...item, id }] };
  }
  for (const placed of plan.exercises.filter(one => ids.includes(one.id))) {
    const id = copyName(next, placed.id);
    names.set(placed.id, id);
    next = { ...next, exercises: [...next.exercises, { ...placed, id }] };
  }
  for (const track of plan.tracks) {
    const copy = copyOfTrack(next, track, names);
    if (copy) next = { ...next, tracks: [...next.tracks, copy] };
  }
  const copied = [...names.values()];
  return { plan: moveThings(next, copied, by), ids: copied };
}

function copyOfTrack(plan: Plan, track: PlannedTrack, names: ReadonlyMap<string, string>): PlannedTrack | null {
  if (track.kind === 'figures' || !track.through.every(({ item }) => names.has(item))) return null;
  return {
    ...track,
    id: copyName(plan, track.id),
    through: track.through.map(stop => ({ ...stop, item: names.get(stop.item)! })),
  };
}
