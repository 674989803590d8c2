/** How much a horse has learned: how tight a turn it carries, and how hard a question may be. */
export type HorseLevel = 'green' | 'novice' | 'advanced';

export const HORSE_LEVELS: readonly HorseLevel[] = ['green', 'novice', 'advanced'];
