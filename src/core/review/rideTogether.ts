import type { ItemTrack, Layout, LayoutHorse } from '../layout/layout';
import { reckonItemTrack } from '../layout/reckonLayout';
import { nearestToEven, offEven } from '../stride/offEven';
import type { StrideWord } from '../stride/strideWord';

/** What a track as it lies is for a horse: its counts leg by leg, and the word of the leg that asks most of it. */
export type RideCell = {
  horseId: string;
  counts: number[];
  /** Null where there is no count it can be ridden in, or nothing of it is counted. */
  word: StrideWord | null;
};

/** Words within which a horse rides a distance without being asked for anything. */
const AT_EASE: readonly StrideWord[] = ['quiet', 'easy', 'forward'];

/** Reads a track as it lies for each horse; legs that nothing is counted in are left out. */
export function rideCells(layout: Layout, track: ItemTrack, horses: readonly LayoutHorse[]): RideCell[] {
  const { legs } = reckonItemTrack({ ...layout, horses: [...horses] }, track);
  return horses.map(({ id: horseId }) => {
    const readings = legs.flatMap(leg => leg.readings.filter(reading => reading.horseId === horseId));
    const best = readings.map(({ asked, options, cannot }) =>
      cannot ? null : (asked ?? nearestToEven(options) ?? null),
    );
    const ridden = best.flatMap(one => one ?? []);
    if (ridden.length < best.length || ridden.length === 0) return { horseId, counts: [], word: null };
    const hardest = [...ridden].sort((a, b) => offEven(b) - offEven(a))[0]!;
    return { horseId, counts: ridden.map(({ strides }) => strides), word: hardest.word };
  });
}

/** Those who ride it at ease in the same counts: two and more that can ride it together as it lies. */
export function togetherOn(cells: readonly RideCell[]): string[][] {
  const groups = new Map<string, string[]>();
  for (const { horseId, counts, word } of cells) {
    if (word === null || !AT_EASE.includes(word)) continue;
    const key = counts.join(' ');
    groups.set(key, [...(groups.get(key) ?? []), horseId]);
  }
  return [...groups.values()].filter(group => group.length > 1).sort((a, b) => b.length - a.length);
}
