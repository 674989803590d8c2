import type { StrideEntryKey } from '@/core';

/** What the strides of the profile are called within a sentence. */
export const ENTRY_WORDS: Record<StrideEntryKey, string> = {
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
