import type { HorseType } from '@/core';

/** What the types of horse are called on the screen. */
export const TYPE_LABELS: Record<HorseType, string> = {
  'all-round': 'All-round horse',
  pony: 'Pony',
  cob: 'Cob or stock',
  blood: 'Blood horse',
  warmblood: 'Big warmblood',
  gaited: 'Gaited horse',
};
