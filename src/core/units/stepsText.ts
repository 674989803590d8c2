import { formatLength, formatReading } from './formatLength';
import type { LengthUnit } from './lengthUnits';
import { stepsAndRemainder } from './stepsAndRemainder';

/** A remainder smaller than this is not worth saying when walking. */
const NOT_WORTH_SAYING_M = 0.005;

/** A length as somebody walks it: "11½ steps, back 12 cm", "4 steps and 3 cm". */
export function stepsText(lengthM: number, stepLengthM: number, unit: LengthUnit): string {
  const { steps, remainderM } = stepsAndRemainder(lengthM, stepLengthM);
  const walked = formatLength(steps * stepLengthM, 'steps', { stepLengthM });
  if (Math.abs(remainderM) < NOT_WORTH_SAYING_M) return walked;
  const rest = formatReading(Math.abs(remainderM), unit === 'm' ? 'cm' : unit);
  if (steps === 0) return rest;
  return remainderM > 0 ? `${walked} and ${rest}` : `${walked}, back ${rest}`;
}
