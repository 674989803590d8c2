import type { PointM } from '../geometry/pointM';
import type { PlannedTrack } from '../layout/layout';
import type { Plan } from './plan';
import { moveThings } from './things';

export type Copied = { plan: Plan; ids: string[] };

/**
 * Copies things beside themselves, with the tracks that ride over them alone. Copies are not locked, and are called what
 * the first is called.
 * @param newId - gives an id that nothing else has, each time
 */
export function copyThings(plan: Plan, ids: readonly string[], by: PointM, newId: () => string): Copied {
  const idOf = new Map(
    [...plan.items, ...plan.exercises].filter(({ id }) => ids.includes(id)).map(({ id }) => [id, newId()]),
  );
  const copies = <Thing extends { id: string }>(things: readonly Thing[]): Thing[] =>
    things.flatMap(thing => (idOf.has(thing.id) ? [{ ...thing, id: idOf.get(thing.id)! }] : []));
  const tracks = plan.tracks.flatMap(track => copyOfTrack(track, idOf, newId));
  const copied: Plan = {
    ...plan,
    items: [...plan.items, ...copies(plan.items)],
    exercises: [...plan.exercises, ...copies(plan.exercises)],
    tracks: [...plan.tracks, ...tracks],
  };
  const own = [...idOf.values()];
  return { plan: moveThings(copied, own, by), ids: own };
}

function copyOfTrack(track: PlannedTrack, idOf: ReadonlyMap<string, string>, newId: () => string): PlannedTrack[] {
  if (track.kind === 'figures' || !track.through.every(({ item }) => idOf.has(item))) return [];
  return [{ ...track, id: newId(), through: track.through.map(stop => ({ ...stop, item: idOf.get(stop.item)! })) }];
}
