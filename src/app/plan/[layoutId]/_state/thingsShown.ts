import {
  countInWords,
  countName,
  distanceM,
  itemWords,
  layoutLabels,
  stopNumbers,
  type Item,
  type ItemTrack,
  type Labels,
  type PointM,
  type ReckonedItemTrack,
  type ReckonedTrack,
  type ResolvedPlan,
} from '@/core';
import type { Shown } from './shown';

/** The thing that an item is moved with: itself, or the exercise it belongs to. */
export function thingOf(resolved: ResolvedPlan, itemId: string): string {
  return resolved.ownerOf.get(itemId) ?? itemId;
}

/** The items of the things that are selected. */
export function itemsOf(resolved: ResolvedPlan, ids: readonly string[]): Item[] {
  return resolved.layout.items.filter(({ id }) => ids.includes(thingOf(resolved, id)));
}

/** The middle of what is selected: of its items, or where an exercise without items lies. */
export function middleOf({ resolved, plan }: Shown, ids: readonly string[]): PointM | null {
  const items = itemsOf(resolved, ids);
  if (items.length === 0) return plan.exercises.find(({ id }) => id === ids[0])?.place.at ?? null;
  return {
    xM: items.reduce((sum, { at }) => sum + at.xM, 0) / items.length,
    yM: items.reduce((sum, { at }) => sum + at.yM, 0) / items.length,
  };
}

/** What a screen reader says of each item: what it is, how far from the one before it, and how it rides. */
export function itemLabels(
  resolved: ResolvedPlan,
  tracks: readonly ReckonedTrack[],
  horse: string | null,
  format: (lengthM: number) => string,
): Map<string, string> {
  const labels = layoutLabels(resolved.layout);
  const incoming = new Map<string, string>();
  for (const track of tracks)
    if (track.kind === 'items')
      for (const leg of track.legs)
        if (!incoming.has(leg.to)) incoming.set(leg.to, incomingWords(leg, labels, horse, format));
  return new Map(
    resolved.layout.items.map(item => {
      const words = itemWords(item, labels.called(item.id), format);
      return [item.id, incoming.has(item.id) ? `${words}, ${incoming.get(item.id)}` : words];
    }),
  );
}

function incomingWords(
  leg: ReckonedItemTrack['legs'][number],
  { inWords }: Labels,
  horse: string | null,
  format: (lengthM: number) => string,
): string {
  const from = `${format(leg.groundM)} from ${inWords(leg.from)}`;
  const reading = leg.readings.find(one => one.horseId === horse) ?? leg.readings[0];
  return reading ? `${from}, ${reading.call} for ${reading.horse}` : from;
}

/** The way to the item nearest to this one, or null where it is alone. */
export function nearestOther(items: readonly Item[], item: Item, ignored: readonly string[]): Item | null {
  let best: Item | null = null;
  for (const other of items) {
    if (other.id === item.id || ignored.includes(other.id)) continue;
    if (best === null || distanceM(other.at, item.at) < distanceM(best.at, item.at)) best = other;
  }
  return best;
}

/** The numbers at which an item is ridden on a track, as they are written beside it. */
export function orderNumbers(track: Pick<ItemTrack, 'through' | 'legs'>, items: readonly Item[]): Map<string, string> {
  const numbers = new Map<string, string>();
  const counted = stopNumbers(track, items);
  track.through.forEach(({ item }, index) => {
    const number = counted[index] ?? null;
    if (number === null) return;
    const before = numbers.get(item);
    numbers.set(item, before ? `${before}·${number}` : String(number));
  });
  return numbers;
}

/** "five strides", "one stride"; no stride at all is a bounce between fences, a single step from pole to pole. */
export function stridesWords(count: number, zeroIs: 'bounce' | 'step' = 'bounce'): string {
  if (count === 0) return countName(0, zeroIs);
  return `${countInWords(count)} ${count === 1 ? 'stride' : 'strides'}`;
}
