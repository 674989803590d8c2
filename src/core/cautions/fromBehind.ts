import { mayRideFromBehind } from '../items/footprint';
import { isRidden } from '../items/item';
import type { Layout, PlannedTrack } from '../layout/layout';
import type { Caution } from './caution';

/** A one-way fence in a track that rides it from its back. */
export function fromBehind(layout: Layout, track: PlannedTrack): Caution[] {
  return track.through.flatMap(({ item: id, reversed }) => {
    const item = layout.items.find(candidate => candidate.id === id);
    if (!reversed || !item || !isRidden(item) || mayRideFromBehind(item)) return [];
    return [
      {
        code: 'one-way-from-behind',
        level: 'stop' as const,
        items: [id],
        text: `${id} is built to be ridden one way, and ${track.id} rides it from its back.`,
        mend: 'Ride it from its front, or build it both ways.',
      },
    ];
  });
}
