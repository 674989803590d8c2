import type { UsualLength } from '../units/parseLength';
import type { StrideEntryKey } from './strideEntry';

/**
 * Common practice, no source: from the shortest pony's step or stride to the longest horse's, with room to spare. What is
 * typed far from it is asked about.
 */
export const USUAL_STRIDE: Partial<Record<StrideEntryKey, UsualLength>> = {
  'walk-poles': { leastM: 0.55, mostM: 1.15 },
  'trot-poles': { leastM: 0.8, mostM: 1.8 },
  'canter-poles': { leastM: 1.8, mostM: 3.9 },
  'course-canter': { leastM: 2.2, mostM: 4.4 },
  walk: { leastM: 1.1, mostM: 2.5 },
  trot: { leastM: 1.6, mostM: 3.8 },
  canter: { leastM: 1.4, mostM: 3.8 },
  'flat-walk': { leastM: 1.1, mostM: 2.8 },
  'running-walk': { leastM: 1.5, mostM: 3.6 },
  'fox-trot': { leastM: 1.5, mostM: 3.6 },
  'saddle-gait': { leastM: 1.5, mostM: 3.8 },
  pace: { leastM: 1.5, mostM: 3.8 },
};
