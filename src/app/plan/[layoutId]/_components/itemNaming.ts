import type { Run } from '@/components/Sand/shape';
import { isRidden, layoutLabels, stopNumbers, type Item, type ResolvedPlan } from '@/core';
import type { Selection } from '../_state/selection';
import { orderNumbers, thingOf } from '../_state/thingsShown';

/** What is written beside an item. */
export type ItemNaming = {
  /** Its place in the order that is ridden. */
  number: string | null;
  selected: boolean;
  locked: boolean;
  /** The name that a person gave it, or the number or letter of what the chosen track does not ride; null for what only helps. */
  label: string | null;
};

type NamedFor = { chosenTrack: string | null; selection: Selection; lockedIds: readonly string[] };

/** What is written beside the items of a layout while a track of it is looked at. */
export function itemNaming(
  resolved: ResolvedPlan,
  { chosenTrack, selection, lockedIds }: NamedFor,
): (item: Item) => ItemNaming {
  const { layout } = resolved;
  const chosen = layout.tracks.find(({ id }) => id === chosenTrack);
  const numbers = chosen?.kind === 'items' ? orderNumbers(chosen, layout.items) : null;
  const labels = layoutLabels(layout);
  const helping = helpingPoles(resolved);
  return item => {
    const { id, name } = item;
    const thing = thingOf(resolved, id);
    const number = numbers?.get(id) ?? null;
    const selected = selection.ids.includes(thing);
    const helps = !isRidden(item) || helping.has(id);
    // Rails, cones and placing poles say nothing until one asks.
    const mark = number === null && (!helps || selection.ids.includes(id)) ? labels.short(id) : null;
    return { number, label: name ?? mark, selected, locked: lockedIds.includes(thing) };
  };
}

/** Poles that are ridden but have no number of their own on any track. */
function helpingPoles({ layout }: ResolvedPlan): Set<string> {
  const helping = new Set<string>();
  const numbered = new Set<string>();
  for (const track of layout.tracks) {
    if (track.kind !== 'items') continue;
    const numbers = stopNumbers(track, layout.items);
    track.through.forEach(({ item }, index) => (numbers[index] === null ? helping : numbered).add(item));
  }
  return new Set([...helping].filter(id => !numbered.has(id)));
}

/** The number and the name of an item, as they are written beside it; none for what says nothing. */
export function nameRuns({ number, label, locked }: ItemNaming): Run[] {
  const words = [label, locked ? '(locked)' : null].filter(word => word !== null).join(' ');
  return [
    ...(number === null ? [] : [{ words: number, look: 'order' as const }]),
    ...(words === '' ? [] : [{ words: number === null ? words : ` ${words}` }]),
  ];
}
