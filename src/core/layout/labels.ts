import { kindWords } from '../items/itemWords';
import { isRidden, type Item } from '../items/item';
import type { Layout, PlannedTrack } from './layout';
import { stopNumbers } from './stopNumbers';

/**
 * What the things of a layout are called. What is ridden is told by its number in the course, everywhere; what nobody rides,
 * by the name that somebody gave it, else by a letter. Ids are never shown.
 */
export type Labels = {
  /** As short as it is written on a drawing or a key: "3", "B"; "gate", where it is not ridden. */
  short: (itemId: string) => string;
  /** The same with the name that somebody gave it: "3 gate". */
  called: (itemId: string) => string;
  /** In a sentence: "fence 3", "gate (fence 3)", "cone B". */
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

/**
 * Labels of a layout some of whose things are built otherwise: numbers are those of the layout, what a thing is follows what it
 * is built as.
 */
export function labelsOf({ items, tracks }: Named, built: (item: Item) => Item = item => item): Labels {
  const order = courseOrder(items, tracks);
  const trackWords = new Map(tracks.map(track => [track.id, trackLabel(track, tracks)]));
  const letters = lettersOf(items, order);
  const twice = numbersTwice(order);
  const short = new Map<string, string>();
  const called = new Map<string, string>();
  const inWords = new Map<string, string>();
  for (const item of items) {
    const { id, name } = item;
    const ridden = order.get(id);
    const mark = ridden ? String(ridden.number) : (name ?? letters.get(id)!);
    const of = ridden && twice.has(ridden.number) ? ` of ${trackWords.get(ridden.trackId)!}` : '';
    const noun = `${nounOf(built(item))} ${mark}${of}`;
    short.set(id, mark);
    called.set(id, name === null || mark === name ? mark : `${mark} ${name}`);
    inWords.set(id, name === null ? noun : ridden ? `${name} (${noun})` : name);
  }
  const of = (labels: ReadonlyMap<string, string>) => (id: string) => labels.get(id) ?? id;
  return { short: of(short), called: of(called), inWords: of(inWords), track: of(trackWords) };
}

type InCourse = { number: number; trackId: string };

/** The number of each item in the first track that rides it; poles that only help have none. */
function courseOrder(items: readonly Item[], tracks: readonly PlannedTrack[]): Map<string, InCourse> {
  const order = new Map<string, InCourse>();
  for (const track of tracks) {
    if (track.kind !== 'items') continue;
    const numbers = stopNumbers(track, items);
    track.through.forEach(({ item }, index) => {
      const number = numbers[index] ?? null;
      if (number !== null && !order.has(item)) order.set(item, { number, trackId: track.id });
    });
  }
  return order;
}

/** Letters of the nameless that have no number: what could be ridden first, so that its letter stays whatever helps beside it. */
function lettersOf(items: readonly Item[], order: ReadonlyMap<string, unknown>): Map<string, string> {
  const nameless = items.filter(({ id, name }) => name === null && !order.has(id));
  const sorted = [...nameless.filter(isRidden), ...nameless.filter(item => !isRidden(item))];
  return new Map(sorted.map(({ id }, index) => [id, letterOf(index)]));
}

/** The numbers that two items bear, each on a track of its own. */
function numbersTwice(order: ReadonlyMap<string, InCourse>): Set<number> {
  const numbers = [...order.values()].map(({ number }) => number);
  return new Set(numbers.filter((number, index) => numbers.indexOf(number) !== index));
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
