import type { LengthUnit } from './lengthUnits';
import { M_PER_IN } from './lengthUnits';

/** Metres to which a taped length may be rounded in a unit, the coarsest first: 5 cm or an inch, down to what a tape is read to. */
export function tapeGrids(unit: LengthUnit): readonly number[] {
  return unit === 'm' || unit === 'cm' ? [0.05, 0.01, 0.005] : [M_PER_IN, M_PER_IN / 2, M_PER_IN / 8];
}
