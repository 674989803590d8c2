import 'server-only';
import { formatReading, sayGaits, type ClaimWords, type GaitWords, type LengthUnit, type StrideEntryKey } from '@/core';
import dayjs from 'dayjs';
import { ENTRY_WORDS } from './entryWords';

/** A way to write lengths, gaits and days in the sentences and pictures of the review. */
export function reviewWords(horse: string, unit: LengthUnit, gaitWords: GaitWords = 'english') {
  const changeUnit = unit === 'm' ? 'cm' : unit;
  const words: ClaimWords = {
    horse,
    format: (lengthM: number) => formatReading(lengthM, unit),
    formatChange: (changeM: number) => `${changeM < 0 ? '−' : '+'}${formatReading(Math.abs(changeM), changeUnit)}`,
    entryName: (entry: StrideEntryKey) => sayGaits(ENTRY_WORDS[entry], gaitWords),
    dayName: (day: string) => dayjs(day).format('D MMMM'),
  };
  return { ...words, say: (sentence: string) => sayGaits(sentence, gaitWords) };
}
