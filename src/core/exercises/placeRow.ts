import type { Arena } from '../arena/arena';
import type { HorseProfile } from '../horse/strideProfile';
import type { Pole } from '../items/pole';
import { keepRowInside } from './keepRowInside';
import { layOutPoleRow } from './layOutPoleRow';
import type { PoleRow } from './poleRow';
import { rowSpacing, type RowSpacingReading } from './rowSpacing';

export type PlacedRow = {
  /** The row where it lies: moved inside if it had to be. */
  row: PoleRow;
  poles: Pole[];
  spacing: RowSpacingReading;
  /** Why it cannot lie on this sand, or null where it does. */
  misfit: string | null;
};

/** Lays a row out on the sand for a horse: spacing, place and poles in one. */
export function placeRow(arena: Arena, row: PoleRow, horse: HorseProfile): PlacedRow {
  const spacing = rowSpacing(row, horse);
  const kept = keepRowInside(arena, row, spacing.spacingM);
  const placed = kept.ok ? kept.row : row;
  return {
    row: placed,
    poles: layOutPoleRow(placed, spacing.spacingM),
    spacing,
    misfit: kept.ok ? null : kept.reason,
  };
}
