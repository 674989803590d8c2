import type { Foot, StrideEntryKey } from '@/core';

/** What an entry of the profile is called. */
export const ENTRY_LABELS: Record<StrideEntryKey, string> = {
  walk: 'Walk in the lane',
  trot: 'Trot in the lane',
  canter: 'Canter in the lane',
  'walk-poles': 'Walk step over poles',
  'trot-poles': 'Trot step over poles',
  'canter-poles': 'Canter stride over poles',
  'course-canter': 'Canter between fences',
  'flat-walk': 'Flat walk',
  'running-walk': 'Running walk',
  'fox-trot': 'Fox trot',
  'saddle-gait': 'Saddle gait',
  pace: 'Pace',
};

/** The gaits that a lane is ridden in. */
export const LANE_ENTRIES: readonly StrideEntryKey[] = [
  'walk',
  'trot',
  'canter',
  'flat-walk',
  'running-walk',
  'fox-trot',
  'saddle-gait',
  'pace',
];

export const FOOT_LABELS: Record<Foot, string> = {
  LF: 'left fore',
  RF: 'right fore',
  LH: 'left hind',
  RH: 'right hind',
};
