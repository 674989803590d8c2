import type { TapRun } from '@/core';

/** Strides that are counted and not said yet, with what they are of. */
export type KeptTaps = {
  pairId: string;
  stageId: string;
  questionId: string;
  openId: string | null;
  run: TapRun;
};
