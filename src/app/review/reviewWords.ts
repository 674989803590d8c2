import 'server-only';
import { formatReading, type ClaimWords, type LengthUnit, type StrideEntryKey } from '@/core';
import dayjs from 'dayjs';

/** What the strides of the profile are called within a sentence. */
const ENTRY_WORDS: Record<StrideEntryKey, string> = {
  walk: 'walk in the lane',
  trot: 'trot in the lane',
  canter: 'canter in the lane',
  'walk-poles': 'walk step over poles',
  'trot-poles': 'trot step over poles',
  'canter-poles': 'canter stride over poles',
  'course-canter': 'canter stride between fences',
  'flat-walk': 'flat walk',
  'running-walk': 'running walk',
  'fox-trot': 'fox trot',
  'saddle-gait': 'saddle gait',
  pace: 'pace',
};

/** A way to write lengths and days in the sentences and pictures of the review. */
export function reviewWords(horse: string, unit: LengthUnit) {
  const changeUnit = unit === 'm' ? 'cm' : unit;
  return {
    horse,
    format: (lengthM: number) => formatReading(lengthM, unit),
    formatChange: (changeM: number) => `${changeM < 0 ? '−' : '+'}${formatReading(Math.abs(changeM), changeUnit)}`,
    entryName: (entry: StrideEntryKey) => ENTRY_WORDS[entry],
    dayName: (day: string) => dayjs(day).format('D MMMM'),
    monthName: (month: string) => dayjs(`${month}-01`).format('MMM'),
  } satisfies ClaimWords & { monthName: (month: string) => string };
}
