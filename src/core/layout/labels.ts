import { kindWords } from '../items/itemWords';
import { isRidden, type Item } from '../items/item';
import type { ItemTrack, Layout, PlannedTrack } from './layout';

/**
 * What the things of a layout are called. A name that somebody gave comes first; what has none is told by its number in the
 * order ridden, else by a letter. Ids are never shown.
 */
export type Labels = {
  /** As short as it is written on a drawing or a key: "gate", "3", "B". Null: there is no such item. */
  short: (itemId: string) => string;
  /** In a sentence: "gate", "fence 3", "cone B". */
  inWords: (itemId: string) => string;
  /** A track by its name, else by what it is: "course", "track 2", "flat work". */
  track: (trackId: string) => string;
};

type Named = Pick<Layout, 'items' | 'tracks'>;

const known = new WeakMap<Named['items'], { tracks: Named['tracks']; labels: Labels }>();

/** The labels of a layout: the same object for the same items and tracks. */
export function layoutLabels(layout: Named): Labels {
  const before = known.get(layout.items);
  if (before && before.tracks === layout.tracks) return before.labels;
  const labels = labelsOf(layout);
  known.set(layout.items, { tracks: layout.tracks, labels });
  return labels;
}

function labelsOf({ items, tracks }: Named): Labels {
  const itemTracks = tracks.filter((track): track is ItemTrack => track.kind === 'items');
  const order = new Map<string, { number: number; track: ItemTrack }>();
  for (const track of itemTracks)
    track.through.forEach(({ item }, index) => {
      if (!order.has(item)) order.set(item, { number: index + 1, track });
    });
  const trackWords = new Map(tracks.map(track => [track.id, trackLabel(track, tracks)]));
  const short = new Map<string, string>();
  const inWords = new Map<string, string>();
  const twice = numbersTwice(items, order);
  let letters = 0;
  for (const item of items) {
    const ridden = order.get(item.id);
    const mark = item.name ?? (ridden ? String(ridden.number) : letterOf(letters));
    if (item.name === null && !ridden) letters += 1;
    const of = ridden && twice.has(ridden.number) ? ` of ${trackWords.get(ridden.track.id)!}` : '';
    short.set(item.id, mark);
    inWords.set(item.id, item.name ?? `${nounOf(item)} ${mark}${of}`);
  }
  return {
    short: id => short.get(id) ?? id,
    inWords: id => inWords.get(id) ?? id,
    track: id => trackWords.get(id) ?? id,
  };
}

/** The numbers that two nameless items bear, each on a track of its own. */
function numbersTwice(items: readonly Item[], order: ReadonlyMap<string, { number: number }>): Set<number> {
  const seen = new Set<number>();
  const twice = new Set<number>();
  for (const { id, name } of items) {
    const number = name === null ? order.get(id)?.number : undefined;
    if (number === undefined) continue;
    if (seen.has(number)) twice.add(number);
    seen.add(number);
  }
  return twice;
}

function nounOf(item: Item): string {
  if (!isRidden(item)) return kindWords(item);
  return item.kind === 'pole' ? 'pole' : 'fence';
}

/** A, B, … Z, AA, AB, … */
export function letterOf(index: number): string {
  const own = String.fromCharCode(65 + (index % 26));
  return index < 26 ? own : letterOf(Math.floor(index / 26) - 1) + own;
}

/** Nameless tracks of a kind are numbered where there are several. */
function trackLabel(track: PlannedTrack, all: readonly PlannedTrack[]): string {
  if (track.name !== null) return track.name;
  const kind = trackKind(track);
  const alike = all.filter(other => other.name === null && trackKind(other) === kind);
  return alike.length > 1 ? `${kind} ${alike.indexOf(track) + 1}` : kind;
}

function trackKind(track: PlannedTrack): string {
  if (track.kind === 'figures') return 'flat work';
  return track.course ? 'course' : 'track';
}
