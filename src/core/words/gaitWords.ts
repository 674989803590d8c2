/** How a yard calls the gaits: trot and canter, or jog and lope. */
export const GAIT_WORDS = ['english', 'western'] as const;
export type GaitWords = (typeof GAIT_WORDS)[number];

/**
 * What a western rider says (common practice, no source; from memory). A fox trot is a gait of its own name in either
 * school, and so is what stands in the name of a file or a kind ("trot-poles").
 */
const WESTERN: Readonly<Record<string, string>> = {
  trot: 'jog',
  trots: 'jogs',
  trotted: 'jogged',
  trotting: 'jogging',
  canter: 'lope',
  canters: 'lopes',
  cantered: 'loped',
  cantering: 'loping',
  'cross-canter': 'cross-firing',
};

const SAID = /(?<![\w-]|\bfox )(?:cross-canter|trot(?:s|ted|ting)?|canter(?:s|ed|ing)?)(?![\w-])/gi;

const likeItsFirstLetter = (word: string, said: string) =>
  said[0] === said[0]?.toUpperCase() ? word[0]!.toUpperCase() + word.slice(1) : word;

/**
 * A sentence with its gaits in the words of a yard. The core makes its sentences with trot and canter; a western yard reads
 * jog and lope everywhere.
 */
export function sayGaits(sentence: string, words: GaitWords): string {
  if (words === 'english') return sentence;
  return sentence.replace(SAID, said => likeItsFirstLetter(WESTERN[said.toLowerCase()]!, said));
}
