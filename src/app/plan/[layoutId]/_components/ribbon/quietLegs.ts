import type { ReckonedLeg, StopNumber } from '@/core';

/** Whether a pole only helps at one of its ends; a gap with a pole in it is read as a whole, and that is said. */
export function isQuietLeg(numbers: readonly StopNumber[], { gap }: Pick<ReckonedLeg, 'gap'>, index: number): boolean {
  return gap === null && (numbers[index] === null || numbers[index + 1] === null);
}
