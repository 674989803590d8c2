import type { AskedQuestion, EarlierWork, Layout, LayoutHorse, LessonStage } from '@/core';

/** A stage of a lesson with what stands on the sand for it. */
export type RunStage = Omit<LessonStage, 'questions'> & {
  layoutName: string | null;
  /** What its passes hang on; null for a stage without a layout. */
  versionId: string | null;
  layout: Layout | null;
  /** What it asks, as the layout has it today. */
  questions: AskedQuestion[];
  /** Whether something it was planned to ask is not in the layout any more. */
  lacks: number;
};

/**
 * A pair of the lesson. `earlier`: what its horse does that day besides, and on other days of the week; `planned`: whether it
 * is to ride, where nobody said otherwise since.
 */
export type RunPair = {
  id: string;
  horseId: string;
  horse: string;
  rider: string;
  strides: LayoutHorse;
  earlier: EarlierWork;
  planned: boolean;
};
