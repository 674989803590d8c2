import type { Layout } from '../layout/layout';
import { reckonLayout } from '../layout/reckonLayout';
import { itemsAsMeasured } from './asMeasured';
import { saidOf } from './legChanges';
import { measuredLengths } from './measure';
import { measuresOf, type MeasureId } from './placing';
import type { SettingSheet } from './settingSheet';

/** What lengths are rounded to, metres, the coarsest first; a last one of null is the length as it is. */
export type Grids = readonly (number | null)[];

/** So many legs are reckoned, all layouts that are tried together, to find a coarser number for what was read finer than it needs. */
const MOST_LEGS = 2000;
const MOST_TRIED = 80;

/**
 * The measures of a sheet rounded to what matters: each to the coarsest that changes no word for any horse, when all of them are
 * laid rounded. Nothing is rounded away: what is more than nothing stays so. What follows from another measure follows from it
 * rounded.
 * @param grids - coarsest first, each > 0, at least one
 * @returns metres by measure, all of the sheet's
 * @throws {RangeError} no grid, or one that is not above 0
 */
export function roundedMeasures(layout: Layout, sheet: SettingSheet, grids: Grids): Map<MeasureId, number> {
  if (grids.length === 0 || grids.some(grid => grid !== null && !(grid > 0 && grid < Infinity)))
    throw new RangeError(`roundedMeasures: grids ${grids.join(', ')}`);
  const free = sheet.measures.filter(({ follows }) => follows === null);
  const levels = new Map(free.map(({ id, lengthM }) => [id, firstLevel(lengthM, grids)]));
  const lengths = () => new Map(free.map(({ id, lengthM }) => [id, onGrid(lengthM, grids[levels.get(id)!]!)]));
  const planned = saidAt(layout);
  const changedItems = (): ReadonlySet<string> => {
    const items = itemsAsMeasured(layout, sheet, lengths());
    return differing(planned, saidAt({ ...layout, items }));
  };
  const finer = refiner(sheet, levels, grids.length - 1);
  const refined = new Set<MeasureId>();
  let changed = changedItems();
  while (changed.size > 0) {
    const now = finer(changed);
    if (now.length === 0) break;
    for (const id of now) refined.add(id);
    changed = changedItems();
  }
  if (changed.size === 0) coarsen([...refined].slice(0, triesFor(layout)), levels, () => changedItems().size === 0);
  const rounded = lengths();
  return measuredLengths(sheet.measures, ({ id }) => rounded.get(id)!);
}

function triesFor({ tracks }: Layout): number {
  const legs = tracks.reduce((sum, track) => sum + (track.kind === 'items' ? track.legs.length : 0), 0);
  return Math.min(MOST_TRIED, Math.floor(MOST_LEGS / Math.max(1, legs)));
}

const onGrid = (lengthM: number, grid: number | null) => (grid === null ? lengthM : Math.round(lengthM / grid) * grid);

/** The coarsest level at which a length does not vanish. */
function firstLevel(lengthM: number, grids: Grids): number {
  const level = grids.findIndex(grid => onGrid(lengthM, grid) > 0);
  return level < 0 ? grids.length - 1 : level;
}

/**
 * Reads the measures of some pieces one level finer; where those are as fine as can be, of what they are measured from. Returns
 * those that became finer.
 */
function refiner({ pieces }: SettingSheet, levels: Map<MeasureId, number>, finest: number) {
  const byItem = new Map(pieces.map(piece => [piece.item.id, piece]));
  return (items: ReadonlySet<string>): MeasureId[] => {
    let own = [...items].flatMap(item => byItem.get(item) ?? []);
    const seen = new Set(own);
    while (own.length > 0) {
      const ids = new Set(own.flatMap(({ points }) => points.flatMap(({ placing }) => measuresOf(placing))));
      const finer = [...ids].filter(id => (levels.get(id) ?? finest) < finest);
      for (const id of finer) levels.set(id, levels.get(id)! + 1);
      if (finer.length > 0) return finer;
      const under = own.flatMap(({ hangsOn }) => hangsOn.flatMap(on => (on.kind === 'end' ? on.item : [])));
      own = [...new Set(under)].flatMap(item => byItem.get(item) ?? []).filter(piece => !seen.has(piece));
      for (const piece of own) seen.add(piece);
    }
    return [];
  };
}

/** Takes back what was read finer beside the one that mattered, one measure at a time. */
function coarsen(ids: readonly MeasureId[], levels: Map<MeasureId, number>, isSame: () => boolean): void {
  for (const id of ids) {
    const level = levels.get(id)!;
    levels.set(id, level - 1);
    if (!isSame()) levels.set(id, level);
  }
}

type Said = { from: string; to: string; words: string };

function saidAt(layout: Layout): Said[] | null {
  try {
    return reckonLayout(layout).flatMap(track =>
      track.kind !== 'items'
        ? []
        : track.legs.flatMap(({ from, to, readings }) =>
            readings.map(reading => ({ from, to, words: saidOf(reading) })),
          ),
    );
  } catch (error) {
    // Rounded, two pieces may lie on each other: every word is another one then.
    if (error instanceof RangeError) return null;
    throw error;
  }
}

function differing(planned: readonly Said[] | null, now: readonly Said[] | null): Set<string> {
  if (!planned) return new Set();
  return new Set(planned.flatMap(({ from, to, words }, index) => (now?.[index]?.words === words ? [] : [from, to])));
}
