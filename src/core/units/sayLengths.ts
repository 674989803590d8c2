import { formatReading } from './formatLength';
import { M_PER_CM, type LengthUnit } from './lengthUnits';

/** "11 m", "0.45 m", "40 × 70 m", "1.6 to 2.0 m", "5 cm"; not "350 m/min". */
const LENGTHS = /((?:\d+(?:\.\d+)?(?: to | × | and ))*\d+(?:\.\d+)?) (m|cm)(?![\w/])/g;

/**
 * A sentence with its lengths in the unit that a yard reads. The core makes its sentences in metres; a yard that reads feet
 * hears feet everywhere.
 */
export function sayLengths(sentence: string, unit: LengthUnit): string {
  if (unit === 'm' || unit === 'cm') return sentence;
  return sentence.replace(LENGTHS, (_, numbers: string, of: string) =>
    numbers.replace(/\d+(?:\.\d+)?/g, number => formatReading(Number(number) * (of === 'cm' ? M_PER_CM : 1), unit)),
  );
}
