import 'server-only';
import { formatReading, type ClaimWords, type LengthUnit, type StrideEntryKey } from '@/core';
import dayjs from 'dayjs';
import { ENTRY_WORDS } from './entryWords';

/** A way to write lengths and days in the sentences and pictures of the review. */
export function reviewWords(horse: string, unit: LengthUnit) {
  const changeUnit = unit === 'm' ? 'cm' : unit;
  return {
    horse,
    format: (lengthM: number) => formatReading(lengthM, unit),
    formatChange: (changeM: number) => `${changeM < 0 ? '−' : '+'}${formatReading(Math.abs(changeM), changeUnit)}`,
    entryName: (entry: StrideEntryKey) => ENTRY_WORDS[entry],
    dayName: (day: string) => dayjs(day).format('D MMMM'),
  } satisfies ClaimWords;
}
