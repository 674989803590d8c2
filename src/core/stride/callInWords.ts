import { countInWords } from './countInWords';
import { offEven } from './offEven';
import type { StrideWord } from './strideWord';

type Callable = { strides: number; q: number; word: StrideWord };

const isComfortable = (word: StrideWord) => word === 'quiet' || word === 'easy' || word === 'forward';
const isInReach = (word: StrideWord) => word !== 'too tight' && word !== 'too far';

/**
 * What an instructor would call a distance. Between two counts when neither is quiet, easy or forward: that is where
 * pairs get into trouble. The easy count alone when the count nearest to even is easy. Else every count the horse can
 * reach, fewer strides first: "forward four or short five".
 * @param zeroIs - what no stride at all is called here: a bounce between fences, one step from pole to pole
 */
export function callInWords(options: readonly Callable[], zeroIs: 'bounce' | 'step'): string {
  const first = options[0];
  const last = options[options.length - 1];
  if (!first || !last) return 'not rated';
  if (!options.some(({ word }) => isComfortable(word))) {
    if (first === last) return phrase(first, zeroIs);
    return `between ${countName(first.strides, zeroIs)} and ${countName(last.strides, zeroIs)}`;
  }
  let nearest = first;
  for (const option of options) if (offEven(option) < offEven(nearest)) nearest = option;
  if (nearest.word === 'easy') return phrase(nearest, zeroIs);
  let call = '';
  for (const option of options) {
    if (!isInReach(option.word)) continue;
    call += (call === '' ? '' : ' or ') + phrase(option, zeroIs);
  }
  return call;
}

function phrase({ word, strides }: Callable, zeroIs: 'bounce' | 'step'): string {
  return `${word} ${countName(strides, zeroIs)}`;
}

/** A count as it is called: no stride at all is a bounce between fences, a single step from pole to pole. */
export function countName(strides: number, zeroIs: 'bounce' | 'step'): string {
  return strides === 0 ? ZERO_NAMES[zeroIs] : countInWords(strides);
}

const ZERO_NAMES = { bounce: 'bounce', step: 'single step' } as const;
