import { stopNumbers, type Item, type ItemTrack, type Labels } from '@/core';

/** What each stop of a track is called in short: its number there, a second time its second one; of a pole that helps its letter. */
export function stopLabels(track: ItemTrack, items: readonly Item[], labels: Pick<Labels, 'short'>): string[] {
  const numbers = stopNumbers(track, items);
  return track.through.map(({ item }, index) => String(numbers[index] ?? labels.short(item)));
}
