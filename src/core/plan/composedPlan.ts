import type { Proposal } from '../compose/composeCourse';
import { distanceM } from '../geometry/pointM';
import type { Fence } from '../items/item';
import type { PlannedTrack } from '../layout/layout';
import type { Plan } from './plan';

/**
 * A plan of a proposed course, in place of what lay there: fences that stand already are the nearest of the course, so that they
 * are carried and not built anew.
 * @param newId - an id that nothing else has
 */
export function composedPlan(plan: Plan, { layout }: Pick<Proposal, 'layout'>, newId: () => string): Plan {
  const standing = plan.items.filter((item): item is Fence => item.kind === 'fence');
  const ids = new Map<string, { id: string; name: string | null }>();
  const items = layout.items.map(item => {
    const near = [...standing].sort((a, b) => distanceM(a.at, item.at) - distanceM(b.at, item.at))[0];
    if (near) standing.splice(standing.indexOf(near), 1);
    const own = { id: near?.id ?? newId(), name: near?.name ?? null };
    ids.set(item.id, own);
    return { ...item, ...own };
  });
  const tracks = layout.tracks.map((track): PlannedTrack =>
    track.kind === 'items'
      ? { ...track, id: newId(), through: track.through.map(stop => ({ ...stop, item: ids.get(stop.item)!.id })) }
      : { ...track, id: newId() },
  );
  return { ...plan, items, tracks, exercises: [], lockedIds: [] };
}
