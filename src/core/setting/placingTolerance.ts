import { pointAlong } from '../geometry/pointM';
import type { Item } from '../items/item';
import { isRidden } from '../items/item';
import type { ItemTrack, Layout } from '../layout/layout';
import { reckonItemTrack } from '../layout/reckonLayout';
import { hardnessOf, saidOf } from './legChanges';

/** How far a piece may be off, metres, before a word changes for a horse. */
export type Tolerance = {
  item: string;
  offM: number;
  /** Which way it is touchiest, as ridden. */
  way: Way;
  /** Whose word changes first, on which leg, and into what. */
  horse: string;
  from: string;
  to: string;
  before: string;
  after: string;
};

/** Nobody sets finer than this, metres: less reads as nothing at all. */
const FINEST_M = 0.005;

/** How far off matters, in words: a length, or that any does. */
export function offWords({ offM }: Pick<Tolerance, 'offM'>, format: (lengthM: number) => string): string {
  return offM < FINEST_M ? 'even a little' : format(offM);
}

const EIGHTH_RAD = Math.PI / 4;
/** Which ways a piece is tried off its place, as turns from the way it is ridden. */
const WAYS = {
  forward: 0,
  back: 4 * EIGHTH_RAD,
  left: 2 * EIGHTH_RAD,
  right: -2 * EIGHTH_RAD,
  'forward and left': EIGHTH_RAD,
  'forward and right': -EIGHTH_RAD,
  'back and left': 3 * EIGHTH_RAD,
  'back and right': -3 * EIGHTH_RAD,
} as const;
type Way = keyof typeof WAYS;

/** Nobody sets a piece farther off than this, metres. */
const MOST_OFF_M = 0.6;
/** No word holds over less ground than this, metres: a step over poles at 3 % to one side of even. */
const STEP_M = 0.02;
const FINE_M = 0.0005;

/**
 * For each piece that is ridden, how far it may be off before the words of a leg change for any horse and not for the
 * better, the touchiest first. What may be 60 cm off without that is left out.
 */
export function placingTolerance(layout: Layout): Tolerance[] {
  return layout.items
    .filter(isRidden)
    .flatMap(item => touchiestWay(layout, item) ?? [])
    .sort((a, b) => a.offM - b.offM);
}

type Change = Pick<Tolerance, 'horse' | 'from' | 'to' | 'before' | 'after'>;

function touchiestWay(layout: Layout, item: Item & { headingRad: number }): Tolerance | null {
  const tracks = tracksAbout(layout, item.id);
  if (tracks.length === 0) return null;
  const standing = saidOn(layout, tracks);
  let best: Tolerance | null = null;
  for (const [way, turnRad] of Object.entries(WAYS) as [Way, number][]) {
    const changeAt = (offM: number) => {
      const at = pointAlong(item.at, item.headingRad + turnRad, offM);
      const items = layout.items.map(other => (other.id === item.id ? { ...item, at } : other));
      return firstChange(standing, saidOn({ ...layout, items }, tracks));
    };
    const found = firstOff(changeAt, best?.offM ?? MOST_OFF_M);
    if (found && (!best || found.offM < best.offM)) best = { item: item.id, way, ...found };
  }
  return best;
}

/** The least distance at which something changes, by coarse steps and then halving; null where nothing does. */
function firstOff(changeAt: (offM: number) => Change | null, mostM: number): ({ offM: number } & Change) | null {
  for (let stepFromM = 0; stepFromM < mostM - 1e-9; stepFromM += STEP_M) {
    const offM = Math.min(stepFromM + STEP_M, mostM);
    let change = changeAt(offM);
    if (!change) continue;
    let [low, high] = [stepFromM, offM];
    while (high - low > FINE_M) {
      const middle = (low + high) / 2;
      const there = changeAt(middle);
      if (there) [high, change] = [middle, there];
      else low = middle;
    }
    return { offM: high, ...change };
  }
  return null;
}

/** The tracks over a piece, each cut down to the legs before and behind it. */
function tracksAbout({ tracks }: Layout, id: string): ItemTrack[] {
  return tracks.flatMap(track => {
    if (track.kind !== 'items') return [];
    return track.legs.flatMap((leg, index) => {
      const through = track.through.slice(index, index + 2);
      return through.some(({ item }) => item === id) ? [{ ...track, course: null, through, legs: [leg] }] : [];
    });
  });
}

type Said = { horse: string; from: string; to: string; words: string; hardness: number };

function saidOn(layout: Layout, tracks: readonly ItemTrack[]): Said[] {
  return tracks.flatMap(track =>
    reckonItemTrack(layout, track).legs.flatMap(({ from, to, readings }) =>
      readings.map(reading => ({
        ...{ horse: reading.horse, from, to },
        ...{ words: saidOf(reading), hardness: hardnessOf(reading) },
      })),
    ),
  );
}

function firstChange(before: readonly Said[], after: readonly Said[]): Change | null {
  for (const [index, said] of before.entries()) {
    const now = after[index];
    // A distance that became easier than it was planned is no danger.
    if (now && now.words !== said.words && now.hardness >= said.hardness)
      return { horse: said.horse, from: said.from, to: said.to, before: said.words, after: now.words };
  }
  return null;
}
