import { countInWords } from './countInWords';
import type { StrideWord } from './strideWord';

type Callable = { strides: number; q: number; word: StrideWord };

const COMFORTABLE: readonly StrideWord[] = ['quiet', 'easy', 'forward'];
const OUT_OF_REACH: readonly StrideWord[] = ['too tight', 'too far'];

/**
 * What an instructor would call a distance. Between two counts when neither is quiet, easy or forward: that is where
 * pairs get into trouble. The easy count alone when the count nearest to even is easy. Else every count the horse can
 * reach, fewer strides first: "forward four or short five".
 * @param zeroIs - what no stride at all is called here: a bounce between fences, one step from pole to pole
 */
export function callInWords(options: readonly Callable[], zeroIs: 'bounce' | 'step'): string {
  const name = (strides: number) => (strides === 0 ? ZERO_NAMES[zeroIs] : countInWords(strides));
  const phrase = ({ word, strides }: Callable) => `${word} ${name(strides)}`;
  const [first, ...rest] = options;
  if (!first) return 'not rated';
  if (!options.some(({ word }) => COMFORTABLE.includes(word))) {
    if (rest.length === 0) return phrase(first);
    return `between ${name(first.strides)} and ${name(options[options.length - 1]!.strides)}`;
  }
  const nearest = options.reduce((best, option) => (offEven(option) < offEven(best) ? option : best));
  if (nearest.word === 'easy') return phrase(nearest);
  return options
    .filter(({ word }) => !OUT_OF_REACH.includes(word))
    .map(phrase)
    .join(' or ');
}

const ZERO_NAMES = { bounce: 'bounce', step: 'single step' } as const;

/** How far a count is from even, shorter and longer alike. */
function offEven({ q }: Callable): number {
  return q > 0 ? Math.abs(Math.log(q)) : Infinity;
}
