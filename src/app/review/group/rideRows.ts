import 'server-only';
import { layoutHorse, rideCells, type ItemTrack } from '@/core';
import type { RideRow } from '@/components/pictures/RideBoard';
import type { RoanDatabase } from '@/data/database';
import { present } from '@/data/present';
import type { Horse } from '@/data/queries/horses';
import { listLayouts } from '@/data/queries/layouts';
import { layoutOffers } from '@/data/queries/layoutStages';

/** So many layouts, the latest changed, are read for everybody. */
const MOST_LAYOUTS = 8;

/** What the layouts of the yard are for some horses as they lie, track by track; what only one thing is ridden on is left out. */
export async function rideRows(db: RoanDatabase, yardId: string, horses: readonly Horse[]): Promise<RideRow[]> {
  const all = present(await listLayouts(db, yardId)).filter(
    ({ plan }) => plan.items.length + plan.exercises.length > 0,
  );
  const rows: RideRow[] = [];
  for (const one of all.slice(0, MOST_LAYOUTS)) {
    const { layout } = (await layoutOffers(db, yardId, one, horses)).resolved;
    const tracks = layout.tracks.filter((track): track is ItemTrack => track.kind === 'items' && track.legs.length > 0);
    for (const [index, track] of tracks.entries())
      rows.push({
        ...{ key: `${one.id} ${track.id}`, layoutId: one.id, layout: one.name },
        track: track.name ?? (tracks.length > 1 ? `way ${index + 1}` : ''),
        cells: rideCells(layout, track, horses.map(layoutHorse)),
      });
  }
  // Where nobody's strides are counted there is nothing to ride in counts.
  return rows.filter(({ cells }) => cells.some(({ counts }) => counts.length > 0));
}
