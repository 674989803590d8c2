import { profileStride, type HorseProfile } from '../horse/strideProfile';
import { strideWord, type StrideWord } from '../stride/strideWord';
import { ENTRY_OF_GAIT, type PoleGait } from './poleRow';

export type RowFit = {
  /** The horse's own normal step or stride over poles, metres. */
  normalM: number;
  /** Spacing ÷ that. */
  q: number;
  word: StrideWord;
};

/**
 * What a row's spacing asks of a horse: one step at walk and trot, one stride at canter, carries from pole to pole.
 * @param spacingM - centre to centre, finite, > 0
 */
export function rowFit(gait: PoleGait, spacingM: number, horse: HorseProfile): RowFit {
  const stride = profileStride(horse, ENTRY_OF_GAIT[gait]);
  if (!stride) throw new RangeError(`rowFit: no stride over poles at ${gait}`);
  const q = spacingM / stride.normalM;
  return { normalM: stride.normalM, q, word: strideWord(q, stride) };
}
