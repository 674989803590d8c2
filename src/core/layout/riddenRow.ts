import { isRaised } from '../items/pole';
import type { ItemTrack, Layout } from './layout';
import { reckonItemTrack } from './reckonLayout';
import type { TrackGait } from './trackGait';

/** What is ridden over on a layout's first track, as the record counts it: items, and the gaps between them. */
export type RiddenRow = {
  track: string;
  gait: TrackGait;
  items: number;
  /** From one pole to the next along the track where all gaps are alike; null where they are not, or it is no row. */
  spacingM: number | null;
  raised: boolean;
};

/** Gaps this much apart are still one spacing (common practice, no source: what a row may be uneven by). */
const ALIKE_M = 0.03;

/** The first track over items of a layout, or null where it has none. */
export function riddenRow(layout: Layout): RiddenRow | null {
  const track = layout.tracks.find((one): one is ItemTrack => one.kind === 'items');
  if (!track) return null;
  const items = track.through.map(({ item }) => layout.items.find(({ id }) => id === item));
  return {
    track: track.id,
    gait: track.gait,
    items: track.through.length,
    spacingM: items.every(item => item?.kind === 'pole') ? evenGapM(layout, track) : null,
    raised: items.some(item => item?.kind === 'pole' && isRaised(item.raised)),
  };
}

function evenGapM(layout: Layout, track: ItemTrack): number | null {
  const gaps = reckonItemTrack({ ...layout, horses: [] }, track).legs.map(({ trackM }) => trackM);
  const first = gaps[0];
  if (first === undefined) return null;
  return Math.max(...gaps) - Math.min(...gaps) <= ALIKE_M ? first : null;
}
