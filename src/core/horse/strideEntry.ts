/** The gaits of their own that gaited horses keep. */
export const GAITED_GAITS = ['flat-walk', 'running-walk', 'fox-trot', 'saddle-gait', 'pace'] as const;
export type GaitedGait = (typeof GAITED_GAITS)[number];

/** Whether a gait is one that only gaited horses have. */
export function isGaitedGait(gait: string): gait is GaitedGait {
  return GAITED_GAITS.some(one => one === gait);
}

/**
 * The entries of a stride profile, kept apart because the work changes the stride: in the lane, over poles (steps at
 * walk and trot, whole strides at canter), and at canter between fences.
 */
export type StrideEntryKey =
  'walk' | 'trot' | 'canter' | 'walk-poles' | 'trot-poles' | 'canter-poles' | 'course-canter' | GaitedGait;

export const STRIDE_ENTRY_KEYS: readonly StrideEntryKey[] = [
  'walk',
  'trot',
  'canter',
  'walk-poles',
  'trot-poles',
  'canter-poles',
  'course-canter',
  'flat-walk',
  'running-walk',
  'fox-trot',
  'saddle-gait',
  'pace',
];

/** One named foot's cycle, or for the two step entries half of it, in metres: as short as the horse goes, normal, long. */
export type StrideRange = { shortM: number; normalM: number; longM: number };
