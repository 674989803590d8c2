import { formatLength, formatReading, type LengthUnit, type StrideEntryKey } from '@/core';
import type { Horse } from '@/data/queries/horses';

/** A horse as the yard's page shows it. */
export type HorseFigures = Horse & { heightText: string };

/** Heights are read in hands, whatever the unit of the sand. */
export function horseFigures(horse: Horse): HorseFigures {
  return { ...horse, heightText: formatLength(horse.heightM, 'hands') };
}

/** The normal stride of an entry as somebody typed it in; null where nobody has, tested or not. */
export function typedStrideM(horse: Horse | null | undefined, entry: StrideEntryKey): number | null {
  const stride = horse?.strides[entry];
  return stride?.source === 'typed' ? stride.normalM : null;
}

/**
 * What was typed, or what is stored if the text is still the one that was shown: a field that nobody touched must not
 * drift by its rounding.
 */
export function unlessUntouched<Value extends number | null>(
  typedText: string | undefined,
  typedM: Value,
  storedM: number | undefined | null,
  unit: LengthUnit,
): Value | number {
  const untouched = storedM !== undefined && storedM !== null && typedText?.trim() === formatReading(storedM, unit);
  return untouched ? storedM : typedM;
}
