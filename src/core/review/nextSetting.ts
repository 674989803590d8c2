import { wilsonInterval, type Share } from '../statistics/proportions';
import type { RiddenLeg } from './ground';

/** What to set a leg to next for one pair, and why; metres. */
export type NextSetting = {
  kind: 'keep' | 'change' | 'harder';
  groundM: number;
  count: number;
  /** The ground that the count wants of this horse. */
  suitsM: number;
  reason: string;
};

/** Common practice, no source: a distance within so much of a horse's own is easy, as a share of its stride. */
const EASY = 0.03;
/** Never more than this at once, metres (common practice, no source). */
const MOST_CHANGE_M = 0.1;
const LEAST_PASSES = 8;
/** Surely clean more often than this, and a distance that is not easy is left as it is: the pair has learnt it. */
const GOOD_SHARE = 0.8;

/**
 * What a record and a stride say of a leg: kept while it is easy, changed by a little towards what the horse wants where it
 * is not and the passes are not clean, and one more or one fewer asked where it is easy and clean.
 * @param strideM - the horse's stride there, learned or of the profile
 */
export function nextSetting(leg: RiddenLeg, strideM: number, clean: Share): NextSetting {
  if (!(strideM > 0 && strideM < Infinity)) throw new RangeError(`nextSetting: stride ${strideM}`);
  const { fixed, perStride } = leg.rule;
  const even = (leg.countedM / strideM - fixed) / perStride;
  const count = Math.max(0, leg.asked ?? Math.round(even));
  // By the tape: what the turns of the leg cost stays what it is.
  const suitsM = (fixed + count * perStride) * strideM - (leg.countedM - leg.groundM);
  const off = leg.groundM / suitsM - 1;
  const own = { count, suitsM };
  const { low, high } = wilsonInterval(clean);
  const counts = `${clean.hits} of ${clean.of} passes clean`;
  if (clean.of < LEAST_PASSES)
    return { kind: 'keep', groundM: leg.groundM, ...own, reason: `${counts}: too few to say. Ride it again.` };
  if (Math.abs(off) > EASY && low < GOOD_SHARE) {
    const changeM = Math.min(MOST_CHANGE_M, Math.abs(leg.groundM - suitsM)) * (off > 0 ? -1 : 1);
    const way = off > 0 ? 'long' : 'short';
    return {
      kind: 'change',
      groundM: leg.groundM + changeM,
      ...own,
      reason: `It lies ${way} for ${count}, with ${counts}.`,
    };
  }
  if (Math.abs(off) <= EASY && low > 0.6)
    return {
      kind: 'harder',
      groundM: leg.groundM,
      ...own,
      reason: `Easy, with ${counts}: ask for one more or one fewer.`,
    };
  const reason =
    high < 0.6
      ? `${counts}, though the distance is easy: look at the line, the footing and the rider.`
      : `${counts}: give it time.`;
  return { kind: 'keep', groundM: leg.groundM, ...own, reason };
}
