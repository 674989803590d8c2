import type { Share } from '../statistics/proportions';
import { byChance } from './byChance';
import type { ClaimWords } from './claims';
import type { Comparison, LikeWithLike } from './compareSides';

/** What is held against what, as a reader says it: “the left rein”, “May”. */
export type SideNames = { a: string; b: string };

const percent = ({ hits, of }: Share) => `${Math.round((100 * hits) / of)} %`;

const LIKE_WORDS: Record<LikeWithLike, string> = {
  'pair and question': 'Each pair and question is held against itself.',
  question: 'Each question is held against itself.',
  pair: 'Each pair is held against itself; what was asked is not the same.',
  nothing: 'Neither the pairs nor the questions are the same: what differs may be those.',
};

/** So much is said in a sentence; the pictures have the rest. */
const MOST_TOLD = 3;

/** What differs beyond chance, in one sentence, and what it rests on. */
export function comparedInWords(
  { like, passes, shares, quality, strides, looks }: Comparison,
  names: SideNames,
  { format, entryName }: Pick<ClaimWords, 'format' | 'entryName'>,
): { text: string; because: string } {
  const found = [
    ...shares
      .filter(({ holds }) => holds)
      .map(({ measure, a, b, p }) => ({
        p,
        words: `${measure}, ${percent(a)} against ${percent(b)}`,
      })),
    ...(quality?.holds
      ? [
          {
            p: quality.p,
            words: `marks for quality, ${Math.abs(quality.difference).toFixed(1)} of 5 ${quality.difference > 0 ? 'higher' : 'lower'}`,
          },
        ]
      : []),
    ...strides
      .filter(({ holds }) => holds)
      .map(({ entry, a, b, p }) => ({
        p,
        words: `${entryName(entry)}, ${format(a.strideM)} against ${format(b.strideM)}`,
      })),
  ].sort((one, other) => one.p - other.p);
  const told = found.slice(0, MOST_TOLD).map(({ words }) => words);
  if (found.length > MOST_TOLD) told.push(`and ${found.length - MOST_TOLD} more`);
  const text =
    found.length === 0
      ? `Nothing that was marked differs beyond chance between ${names.a} and ${names.b}.`
      : `${names.a} against ${names.b}, beyond chance: ${told.join('; ')}.`;
  const surest = found[0];
  return {
    text,
    because: `${passes.a} passes against ${passes.b}; ${looks} ${looks === 1 ? 'thing was' : 'things were'} looked at together${surest ? `; for the surest, ${byChance(surest.p)}` : ''}. ${LIKE_WORDS[like]}`,
  };
}
