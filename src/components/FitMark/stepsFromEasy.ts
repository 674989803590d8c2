import type { StrideWord } from '@/core';

/** How far from easy, cool (tight) below zero and warm (far) above. */
export const STEPS_FROM_EASY: Record<StrideWord, number> = {
  'too tight': -3,
  short: -2,
  quiet: -1,
  easy: 0,
  forward: 1,
  long: 2,
  'too far': 3,
};
