import type { Layout, Question } from '@/core';

export type Named = { id: string; name: string };

export type RecordedStage = Named & {
  layout: Layout;
  /** What each pair is asked there, by its id. */
  askedOf: Readonly<Record<string, Question[]>>;
};

/** Who rode what of a lesson. */
export type RiddenAsk = { lessonId: string; pairId: string; stageId: string; questionId: string };
