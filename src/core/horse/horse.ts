/** What kind of stride a horse's build leads one to expect. */
export type HorseType = 'all-round' | 'pony' | 'cob' | 'blood' | 'warmblood' | 'gaited';

export const HORSE_TYPES: readonly HorseType[] = ['all-round', 'pony', 'cob', 'blood', 'warmblood', 'gaited'];

export const MIN_HORSE_HEIGHT_M = 0.6;
export const MAX_HORSE_HEIGHT_M = 2.2;
