import 'server-only';
import { GAITED_GAITS, type FilmGait, type HorseType } from '@/core';

/** The gaits that a horse is seen in, from standing on: a gaited one has its own. */
export const gaitsOfHorse = (type: HorseType | null): readonly FilmGait[] =>
  type === 'gaited' ? ['halt', 'walk', ...GAITED_GAITS, 'trot', 'canter'] : ['halt', 'walk', 'trot', 'canter'];
