import type { StrideEntryKey } from '../horse/strideEntry';
import type { Rein } from '../track/rein';
import { workOfPasses } from '../work/workCounts';
import type { ReviewPass } from './reviewPass';

/** A pair as a group is looked at: who it is, and the stride it goes by. */
export type GroupPair = { id: string; strideM: (entry: StrideEntryKey) => number | null };

export type PairBalance = {
  pairId: string;
  passes: number;
  byRein: Record<Rein, number>;
  jumping: number;
  poles: number;
  flat: number;
  efforts: number;
  lastDay: string | null;
};

export type GroupReview = {
  /** Pairs whose strides are so alike that one spacing is easy for all of them. */
  sharing: { entry: StrideEntryKey; pairIds: string[]; leastM: number; mostM: number }[];
  balance: PairBalance[];
};

/** An easy distance is within 3 % of a stride either way (common practice, no source). */
const EASY_SHARE = 0.03;
const SHARED_ENTRIES: readonly StrideEntryKey[] = ['course-canter', 'canter-poles', 'trot-poles', 'walk-poles'];

/** Which pairs could share a spacing, and what each has done of what. */
export function groupReview(pairs: readonly GroupPair[], passes: readonly ReviewPass[]): GroupReview {
  return {
    sharing: SHARED_ENTRIES.flatMap(entry => sharedGroups(pairs, entry)),
    balance: pairs.map(({ id }) =>
      balanceOf(
        id,
        passes.filter(({ pairId }) => pairId === id),
      ),
    ),
  };
}

/** From the shortest stride up, pairs join as long as the middle of the group is easy for its ends. */
function sharedGroups(pairs: readonly GroupPair[], entry: StrideEntryKey): GroupReview['sharing'] {
  const known = pairs
    .flatMap(pair => {
      const strideM = pair.strideM(entry);
      return strideM === null ? [] : [{ id: pair.id, strideM }];
    })
    .sort((a, b) => a.strideM - b.strideM);
  const groups: (typeof known)[] = [];
  for (const pair of known) {
    const group = groups[groups.length - 1];
    const fits = group && pair.strideM / group[0]!.strideM <= (1 + EASY_SHARE) / (1 - EASY_SHARE);
    if (group && fits) group.push(pair);
    else groups.push([pair]);
  }
  return groups
    .filter(group => group.length > 1)
    .map(group => ({
      ...{ entry, pairIds: group.map(({ id }) => id), leastM: group[0]!.strideM },
      mostM: group[group.length - 1]!.strideM,
    }));
}

function balanceOf(pairId: string, own: readonly ReviewPass[]): PairBalance {
  const counted = own.filter(pass => !pass.isVoid);
  const on = (rein: Rein) => counted.filter(pass => pass.rein === rein).length;
  const { lowEfforts, highEfforts } = workOfPasses(counted, ({ ground }) => ground.work);
  const isJumping = ({ ground }: ReviewPass) => ground.stops.some(({ isFence }) => isFence);
  const isFlat = ({ ground }: ReviewPass) => ground.stops.length === 0;
  return {
    ...{ pairId, passes: counted.length, byRein: { left: on('left'), right: on('right') } },
    jumping: counted.filter(isJumping).length,
    flat: counted.filter(isFlat).length,
    poles: counted.filter(pass => !isJumping(pass) && !isFlat(pass)).length,
    efforts: lowEfforts + highEfforts,
    lastDay: counted[counted.length - 1]?.day ?? null,
  };
}

/** Fewer passes than this say nothing of how they are shared. */
const LEAST_PASSES = 12;
/** More than this share of one rein is one-sided. */
const ONE_SIDED = 0.65;

/** Too much or too little of what, in words; nothing where it is shared well or little was ridden. */
export function balanceWords({ passes, byRein, jumping, poles, flat }: PairBalance): string[] {
  if (passes === 0) return ['not ridden'];
  if (passes < LEAST_PASSES) return [];
  const one: Rein = byRein.left > byRein.right ? 'left' : 'right';
  const kinds = [
    { n: jumping, words: 'fences' },
    { n: poles, words: 'poles' },
    { n: flat, words: 'flat work' },
  ];
  return [
    ...(byRein[one] / passes > ONE_SIDED ? [`mostly on the ${one} rein: ${byRein[one]} of ${passes}`] : []),
    ...kinds.filter(({ n }) => n === passes).map(({ words }) => `nothing but ${words}`),
    ...(flat === 0 && jumping > 0 && jumping < passes ? ['nothing on the flat'] : []),
  ];
}
