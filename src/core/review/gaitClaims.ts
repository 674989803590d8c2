import { isGaitedGait } from '../horse/strideEntry';
import { gaitWord } from '../layout/trackGait';
import { fisherExact, type Share } from '../statistics/proportions';
import { holm } from '../statistics/holm';
import { byChance } from './byChance';
import type { Claim, ClaimWords } from './claims';
import type { AskedGait, GaitReview } from './gaitReview';
import { LEAST_PASSES, ofAll, percent } from './shareWords';

type Looked = { text: string; because: string; p: number };

/**
 * What the gaits of a horse say: a head that is high at the faster of two gaits, and a canter that comes more easily out of one gait
 * than out of another. All of it is looked at together.
 */
export function gaitClaims({ gaits, intoCanter }: GaitReview, { horse }: Pick<ClaimWords, 'horse'>): Claim[] {
  const looked = [...headLooks(gaits, horse), ...canterLooks(intoCanter, horse)];
  const holds = holm(looked.map(({ p }) => p));
  return looked
    .filter((_, index) => holds[index])
    .map(({ text, because, p }) => ({ about: 'gaits', text, because: `${because}: ${byChance(p)}.`, p }));
}

const highOf = ({ heads }: AskedGait): Share => ({
  of: heads.low + heads['as wanted'] + heads.high,
  hits: heads.high,
});

/** The slowest gait that a head was looked at in often enough, against the fastest. */
function headLooks(gaits: readonly AskedGait[], horse: string): Looked[] {
  const enough = gaits.filter(one => isGaitedGait(one.asked) && highOf(one).of >= LEAST_PASSES);
  const [slow, fast] = [enough[0], enough.at(-1)];
  if (!slow || !fast || slow === fast) return [];
  const [a, b] = [highOf(slow), highOf(fast)];
  const [more, less] = b.hits / b.of >= a.hits / a.of ? [fast, slow] : [slow, fast];
  const rises = more === fast ? `${horse}’s head rises with the speed` : `${horse}’s head comes down with the speed`;
  return [
    {
      text: `${rises}: too high in ${percent(highOf(more))} of the passes in ${gaitWord(more.asked)}, in ${percent(highOf(less))} in ${gaitWord(less.asked)}.`,
      because: `${ofAll(b)} in ${gaitWord(fast.asked)} and ${ofAll(a)} in ${gaitWord(slow.asked)} (Fisher’s exact test)`,
      p: fisherExact(a, b),
    },
  ];
}

/** The two gaits that canter was asked out of most often. */
function canterLooks(intoCanter: GaitReview['intoCanter'], horse: string): Looked[] {
  const [one, other] = intoCanter.filter(({ prompt }) => prompt.of >= LEAST_PASSES);
  if (!one || !other) return [];
  const share = ({ prompt: { hits, of } }: typeof one) => hits / of;
  const [easier, harder] = share(one) >= share(other) ? [one, other] : [other, one];
  return [
    {
      text: `${horse} canters more easily out of ${gaitWord(easier.from)}: at once in ${percent(easier.prompt)}, out of ${gaitWord(harder.from)} in ${percent(harder.prompt)}.`,
      because: `${ofAll(easier.prompt)} out of ${gaitWord(easier.from)} and ${ofAll(harder.prompt)} out of ${gaitWord(harder.from)} (Fisher’s exact test)`,
      p: fisherExact(easier.prompt, harder.prompt),
    },
  ];
}
