import { distanceM, type PointM } from '../geometry/pointM';
import type { Layout } from '../layout/layout';
import type { SettingSheet } from './settingSheet';
import { stretchesOf } from './stretches';

/** What setting by a sheet takes: how far somebody walks over the sand, and how many lengths are read off paper. */
export type SettingWalk = { walkedM: number; measures: number };

/**
 * The walk of one person who sets a layout by its sheet: from measure to measure in their order, along each of them once. What
 * follows from a piece's own length is not walked. Kit lies where it is needed.
 * @param from - where the walk begins
 */
export function settingWalk(layout: Pick<Layout, 'arena' | 'items'>, sheet: SettingSheet, from: PointM): SettingWalk {
  const follows = new Set(sheet.measures.flatMap(measure => (measure.follows ? [measure.id] : [])));
  const seen = new Set<string>();
  let at = from;
  let walkedM = 0;
  for (const set of [...sheet.pegs, ...sheet.pieces])
    for (const stretch of stretchesOf(layout, sheet.pegs, set)) {
      if (follows.has(stretch.measure)) continue;
      seen.add(stretch.measure);
      walkedM += distanceM(at, stretch.from) + distanceM(stretch.from, stretch.to);
      at = stretch.to;
    }
  return { walkedM, measures: seen.size };
}
