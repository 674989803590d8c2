import { M_PER_FT, type LengthUnit } from './lengthUnits';

/** A round length for the scale bar of a sand, in the unit that is read, and what is written beside it. */
export function scaleBarOf(
  { widthM, lengthM }: { widthM: number; lengthM: number },
  unit: LengthUnit,
): { lengthM: number; words: string } {
  const isLarge = Math.max(widthM, lengthM) >= 30;
  if (unit === 'ft' || unit === 'yd') {
    const feet = isLarge ? 30 : 15;
    return { lengthM: feet * M_PER_FT, words: unit === 'ft' ? `${feet} ft` : `${feet / 3} yd` };
  }
  const metres = isLarge ? 10 : 5;
  return { lengthM: metres, words: `${metres} m` };
}
