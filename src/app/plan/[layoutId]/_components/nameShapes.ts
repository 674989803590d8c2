import type { SandView } from '@/components/Sand/sandView';
import type { Shape } from '@/components/Sand/shape';
import { layoutLabels, pointAlong, type Item, type ResolvedPlan } from '@/core';
import type { Selection } from '../_state/selection';
import { orderNumbers, thingOf } from '../_state/thingsShown';
import type { Seen } from './trackShapes';

/** What is written beside an item. */
export type ItemNaming = {
  /** Its place in the order that is ridden. */
  number: string | null;
  selected: boolean;
  locked: boolean;
  /** Its name, or the letter of what nobody rides; null where its place in the order says enough. */
  label: string | null;
};

type NamedFor = { chosenTrack: string | null; selection: Selection; lockedIds: readonly string[] };

/** What is written beside the items of a layout while a track of it is looked at. */
export function itemNaming(
  resolved: ResolvedPlan,
  { chosenTrack, selection, lockedIds }: NamedFor,
): (item: Item) => ItemNaming {
  const chosen = resolved.layout.tracks.find(({ id }) => id === chosenTrack);
  const numbers = chosen?.kind === 'items' ? orderNumbers(chosen.through) : null;
  const labels = layoutLabels(resolved.layout);
  return ({ id, name }) => {
    const thing = thingOf(resolved, id);
    const number = numbers?.get(id) ?? null;
    return {
      number,
      label: name ?? (number === null ? labels.short(id) : null),
      selected: selection.ids.includes(thing),
      locked: lockedIds.includes(thing),
    };
  };
}

/** The order and the name of an item, beside it. */
export function nameShapes(
  item: Item,
  { number, label, selected, locked }: ItemNaming,
  { view, textM }: Seen,
): Shape[] {
  // The poles of a row lie close: their order says enough.
  const named = item.kind === 'fence' || (selected && number === null);
  if (!named && number === null) return [];
  const at = view.toPaper(item.at);
  const { x, y } = 'headingRad' in item ? namePlace(item, view, textM) : { x: at.x, y: at.y + textM * 1.1 };
  const name = `${named && label !== null ? ` ${label}` : ''}${locked ? ' (locked)' : ''}`;
  const runs = [
    ...(number === null ? [] : [{ words: number, look: 'order' as const }]),
    ...(name ? [{ words: name }] : []),
  ];
  return [{ kind: 'text', x, y, sizeM: textM * 0.82, look: 'name', runs }];
}

/** Beside the right end of an item, as ridden. */
function namePlace(item: Extract<Item, { headingRad: number }>, view: SandView, textM: number) {
  const halfM = item.kind === 'pole' ? item.lengthM / 2 : item.kind === 'fence' ? item.widthM / 2 + 0.5 : 0.3;
  return view.toPaper(pointAlong(item.at, item.headingRad - Math.PI / 2, halfM + textM * 0.9));
}
