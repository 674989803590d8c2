import type { Share } from '../statistics/proportions';
import type { ReviewPass } from './reviewPass';

/** How a leg was ridden, count by count, beside what was reckoned for it. */
export type LegReview = {
  layoutVersionId: string;
  from: string;
  to: string;
  groundM: number;
  asked: number | null;
  /** The count at which the stride that is thought of is even; null where nobody knows it. */
  predicted: number | null;
  counts: { count: number; times: number }[];
};

/** Counts that were asked: what the horse could do of it. */
export type AskedReview = {
  /** One or more strides added to what lies nearest, and as asked. */
  adding: Share;
  leavingOut: Share;
  nearest: Share;
};

type LegKey = { pass: ReviewPass; place: number; count: number };

function countsOf(passes: readonly ReviewPass[]): LegKey[] {
  return passes
    .filter(pass => !pass.isVoid)
    .flatMap(pass =>
      pass.marks.flatMap(mark =>
        mark.kind === 'strides' && pass.ground.legs[mark.place - 1]
          ? [{ pass, place: mark.place, count: mark.count }]
          : [],
      ),
    );
}

/** The fractional count that a stride makes of a leg. */
function evenCount({ groundM, rule }: ReviewPass['ground']['legs'][number], strideM: number): number {
  return Math.max(0, (groundM / strideM - rule.fixed) / rule.perStride);
}

type ThoughtM = (entry: NonNullable<ReviewPass['ground']['legs'][number]['entry']>) => number | null;

function newLegReview(pass: ReviewPass, place: number, thoughtM: ThoughtM): LegReview & { times: number } {
  const leg = pass.ground.legs[place - 1]!;
  const { from, to, groundM, asked, entry } = leg;
  const strideM = entry ? thoughtM(entry) : null;
  return {
    ...{ layoutVersionId: pass.layoutVersionId, from, to, groundM, asked, counts: [], times: 0 },
    predicted: strideM === null ? null : evenCount(leg, strideM),
  };
}

/** Ridden against predicted, leg by leg, those most often ridden first. */
export function legReviews(passes: readonly ReviewPass[], thoughtM: ThoughtM): LegReview[] {
  const legs = new Map<string, (LegReview & { times: number })[]>();
  for (const { pass, place, count } of countsOf(passes)) {
    const ofVersion = legs.get(pass.layoutVersionId) ?? [];
    legs.set(pass.layoutVersionId, ofVersion);
    const leg = (ofVersion[place] ??= newLegReview(pass, place, thoughtM));
    const same = leg.counts.find(one => one.count === count);
    if (same) same.times += 1;
    else leg.counts.push({ count, times: 1 });
    leg.times += 1;
  }
  return [...legs.values()]
    .flatMap(ofVersion => ofVersion.filter(Boolean))
    .sort((a, b) => b.times - a.times)
    .map(({ times: _, counts, ...leg }) => ({ ...leg, counts: counts.sort((a, b) => a.count - b.count) }));
}

/** Asked against ridden: whether a pair can add a stride, leave one out, and ride what lies nearest when it is asked. */
export function askedReview(passes: readonly ReviewPass[], thoughtM: ThoughtM): AskedReview {
  const review: AskedReview = {
    adding: { of: 0, hits: 0 },
    leavingOut: { of: 0, hits: 0 },
    nearest: { of: 0, hits: 0 },
  };
  for (const { pass, place, count } of countsOf(passes)) {
    const leg = pass.ground.legs[place - 1]!;
    const strideM = leg.entry ? thoughtM(leg.entry) : null;
    if (leg.asked === null || strideM === null) continue;
    const nearest = Math.round(evenCount(leg, strideM));
    const kind = leg.asked > nearest ? 'adding' : leg.asked < nearest ? 'leavingOut' : 'nearest';
    review[kind].of += 1;
    if (count === leg.asked) review[kind].hits += 1;
  }
  return review;
}
