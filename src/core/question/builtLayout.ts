import type { Item } from '../items/item';
import type { ItemTrack, Layout, PlannedTrack } from '../layout/layout';
import { applyEdits } from '../layout/layoutEdit';
import { builtItem, type BuiltState } from './builtState';

/**
 * A layout in a state: what is left out is gone from the sand and from every track, and the legs on both sides of it are
 * one; between two poles a distance is one of poles.
 */
export function builtLayout(layout: Layout, state: BuiltState): Layout {
  const items = layout.items.map(item => builtItem(item, state) ?? item);
  const left = applyEdits(
    { ...layout, items },
    state.out.map(item => ({ kind: 'remove-item', item })),
  );
  const became = new Set(items.filter((item, index) => item.kind !== layout.items[index]!.kind).map(({ id }) => id));
  if (became.size === 0) return left;
  return { ...left, tracks: left.tracks.map(track => withPoleLegs(track, left.items, became)) };
}

/** Legs that end at what became a pole, and now go from pole to pole. */
function withPoleLegs(track: PlannedTrack, items: readonly Item[], became: ReadonlySet<string>): PlannedTrack {
  if (track.kind === 'figures') return track;
  const isPole = (id: string) => items.some(item => item.id === id && item.kind === 'pole');
  const legs: ItemTrack['legs'] = track.legs.map((leg, at) => {
    const ends = [track.through[at]!.item, track.through[at + 1]!.item];
    return ends.some(id => became.has(id)) && ends.every(isPole) ? { ...leg, setting: 'poles' } : leg;
  });
  return { ...track, legs };
}
