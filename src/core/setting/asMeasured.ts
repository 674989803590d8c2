import type { Layout } from '../layout/layout';
import type { LayoutEdit } from '../layout/layoutEdit';
import type { PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import { measuredLengths } from './measure';
import { pieceAtEnds } from './pieceEnds';
import { placedPoint, whereabouts, type MeasureId, type Whereabouts } from './placing';
import type { SettingSheet } from './settingSheet';

const SAME_M = 1e-9;

/**
 * Where every piece stands when its measures are these: whoever sets by a sheet carries on from where the pieces before
 * really lie.
 * @param freeM - the length of each measure that stands by itself, metres, ≥ 0; left out as printed on the sheet
 * @returns the pieces of the layout in its own order
 */
export function itemsAsMeasured(
  layout: Pick<Layout, 'arena' | 'items'>,
  sheet: SettingSheet,
  freeM: ReadonlyMap<MeasureId, number>,
): Item[] {
  const placed = endsAsMeasured(layout, sheet, freeM);
  return layout.items.map(item => {
    const ends = placed.get(item.id);
    return ends ? pieceAtEnds(item, ends) : item;
  });
}

/** The marks on the sand for the ends of every piece, in the order that pieceEnds gives them. */
export function endsAsMeasured(
  layout: Pick<Layout, 'arena'>,
  sheet: SettingSheet,
  freeM: ReadonlyMap<MeasureId, number>,
): Map<string, PointM[]> {
  const where = groundAsMeasured(layout, sheet, freeM);
  return new Map(
    sheet.pieces.map(({ item, points }) => {
      const ends = points.map(({ end }) => where({ kind: 'end', item: item.id, end }));
      return [item.id, inOrder(points, ends)];
    }),
  );
}

/** Where every point of the arena, every peg and every end lies when the measures of a sheet are these. */
export function groundAsMeasured(
  { arena }: Pick<Layout, 'arena'>,
  sheet: SettingSheet,
  freeM: ReadonlyMap<MeasureId, number>,
): Whereabouts {
  const lengths = measuredLengths(sheet.measures, ({ id, lengthM }) => freeM.get(id) ?? lengthM);
  const lengthM = (id: MeasureId) => lengths.get(id)!;
  const { where, set } = whereabouts(arena);
  for (const { peg, placing } of sheet.pegs) set({ kind: 'peg', peg }, placedPoint(arena, placing, lengthM, where));
  for (const { item, points } of sheet.pieces) {
    const ends = points.map(({ placing }) => placedPoint(arena, placing, lengthM, where));
    points.forEach(({ end }, index) => set({ kind: 'end', item: item.id, end }, ends[index]!));
  }
  return where;
}

/** Ends in the order that pieceEnds gives them. */
function inOrder(points: SettingSheet['pieces'][number]['points'], ends: readonly PointM[]): PointM[] {
  const second = points.findIndex(({ end }) => end === 'right' || end === 'ahead');
  return second === 0 ? [...ends].reverse() : [...ends];
}

/** The edits that bring a layout to where its pieces stand. */
export function editsToStand(layout: Pick<Layout, 'items'>, standing: readonly Item[]): LayoutEdit[] {
  return standing.flatMap(item => {
    const planned = layout.items.find(({ id }) => id === item.id);
    if (!planned) return [];
    const edits: LayoutEdit[] = [];
    if (Math.hypot(item.at.xM - planned.at.xM, item.at.yM - planned.at.yM) > SAME_M)
      edits.push({ kind: 'move-item', item: item.id, to: item.at });
    if ('headingRad' in item && 'headingRad' in planned && turned(item.headingRad, planned.headingRad) > SAME_M)
      edits.push({ kind: 'turn-item', item: item.id, headingRad: item.headingRad });
    return edits;
  });
}

const turned = (a: number, b: number) => Math.abs(Math.sin((a - b) / 2)) * 2;
