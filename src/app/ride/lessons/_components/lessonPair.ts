import type { EarlierWork, LayoutHorse, RiddenLately } from '@/core';

export type Named = { id: string; name: string };

export type LessonPair = Named & {
  horseId: string;
  horse: string;
  rider: string;
  strides: LayoutHorse;
  /** What its horse was ridden in lately, beside its profile. */
  lately: RiddenLately[];
  /** What its horse does besides, that day and on other days of the week, as it was last kept. */
  earlier: EarlierWork;
};
