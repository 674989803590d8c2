import { formatLength } from './formatLength';
import { M_PER_CM, type LengthUnit } from './lengthUnits';

/** A tape is read to half a centimetre, or to an eighth of an inch. */
const HALF_CM_M = 0.005;

/**
 * A length as a tape is read: "12.345 m" to the half centimetre, "4 ft 6⅛ in" to the eighth of an inch. parseLength reads
 * it back.
 * @param lengthM - metres, finite, ≥ 0
 */
export function formatTape(lengthM: number, unit: LengthUnit): string {
  if (unit !== 'm' && unit !== 'cm') return formatLength(lengthM, unit);
  const halfCentimetres = Math.round(lengthM / HALF_CM_M);
  const readM = halfCentimetres * HALF_CM_M;
  const isWhole = halfCentimetres % 2 === 0;
  if (unit === 'cm') return `${(readM / M_PER_CM).toFixed(isWhole ? 0 : 1)} cm`;
  return formatLength(readM, 'm', { decimals: isWhole ? 2 : 3 });
}
