import { pointAlong } from '../geometry/pointM';
import type { Pole } from '../items/pole';
import type { PoleRow } from './poleRow';

/**
 * The poles of a row, first to last as ridden, evenly spaced about the row's centre and square to its heading.
 * @param spacingM - centre to centre, finite, > 0
 * @throws {RangeError} a spacing outside those bounds
 */
export function layOutPoleRow(row: PoleRow, spacingM: number): Pole[] {
  if (!(spacingM > 0 && spacingM < Infinity)) throw new RangeError(`layOutPoleRow: spacingM ${spacingM}`);
  const middle = (row.raised.length - 1) / 2;
  return row.raised.map((raised, index) => ({
    kind: 'pole',
    name: null,
    id: `${row.id}-${index + 1}`,
    at: pointAlong(row.centre, row.headingRad, (index - middle) * spacingM),
    headingRad: row.headingRad,
    lengthM: row.poleLengthM,
    raised,
  }));
}
