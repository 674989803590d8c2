import type { Share } from '../statistics/proportions';
import { daysOf, readDays } from './byDay';
import { countsInOrder } from './layoutReview';
import type { DayPass, ReviewPass } from './reviewPass';

/** How a leg was ridden, count by count, beside what was reckoned for it. */
export type LegReview = {
  layoutVersionId: string;
  /** What was asked. */
  question: string;
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

/** A leg of a layout version, the pass that it was first counted in, and how often each count was ridden in it. */
export type LegCounts = { pass: DayPass; place: number; counts: Map<number, number> };

/** What was counted on a day, leg by leg. */
export const countsOf = readDays(
  'counts',
  (day): LegCounts[] => {
    const legs = new Map<string, LegCounts>();
    for (const pass of day) {
      if (pass.isVoid) continue;
      for (const mark of pass.marks) {
        if (mark.kind !== 'strides' || !pass.ground.legs[mark.place - 1]) continue;
        addTimes(legCounts(legs, pass, mark.place), mark.count, 1);
      }
    }
    return [...legs.values()];
  },
  {
    pack: (legs, day) =>
      legs.map(({ pass, place, counts }): PackedCounts => [
        day.findIndex(({ id }) => id === pass.id),
        place,
        [...counts],
      ]),
    unpack: (packed, day) =>
      (packed as PackedCounts[]).map(([pass, place, counts]) => ({ pass: day[pass]!, place, counts: new Map(counts) })),
  },
);

/** The how manieth pass of the day, the place, and each count with its times. */
type PackedCounts = [pass: number, place: number, counts: [number, number][]];

function legCounts(legs: Map<string, LegCounts>, pass: DayPass, place: number): Map<number, number> {
  const key = `${pass.layoutVersionId} ${pass.key} ${place}`;
  const leg = legs.get(key) ?? { pass, place, counts: new Map<number, number>() };
  legs.set(key, leg);
  return leg.counts;
}

function addTimes(counts: Map<number, number>, count: number, times: number): void {
  counts.set(count, (counts.get(count) ?? 0) + times);
}

/** What was counted in every leg. */
function allCounts(passes: readonly DayPass[]): LegCounts[] {
  const legs = new Map<string, LegCounts>();
  for (const day of daysOf(passes))
    for (const { pass, place, counts } of countsOf(day)) {
      const all = legCounts(legs, pass, place);
      for (const [count, times] of counts) addTimes(all, count, times);
    }
  return [...legs.values()];
}

/** The fractional count that a stride makes of a leg. */
function evenCount({ groundM, rule }: ReviewPass['ground']['legs'][number], strideM: number): number {
  return Math.max(0, (groundM / strideM - rule.fixed) / rule.perStride);
}

/** The stride that was thought of when something was ridden: what is known since makes no other reckoning of then. */
type ThoughtM = (
  entry: NonNullable<ReviewPass['ground']['legs'][number]['entry']>,
  riddenAtMs: number,
) => number | null;

/** Ridden against predicted, leg by leg, those most often ridden first. */
export function legReviews(passes: readonly DayPass[], thoughtM: ThoughtM): LegReview[] {
  return allCounts(passes)
    .map(leg => ({ ...leg, times: [...leg.counts.values()].reduce((sum, times) => sum + times, 0) }))
    .sort((a, b) => b.times - a.times)
    .map(({ pass, place, counts }): LegReview => {
      const leg = pass.ground.legs[place - 1]!;
      const { from, to, groundM, asked, entry } = leg;
      const strideM = entry ? thoughtM(entry, pass.riddenAtMs) : null;
      return {
        ...{ layoutVersionId: pass.layoutVersionId, question: pass.questionWords, from, to, groundM, asked },
        predicted: strideM === null ? null : evenCount(leg, strideM),
        counts: countsInOrder(counts),
      };
    });
}

/** Asked against ridden: whether a pair can add a stride, leave one out, and ride what lies nearest when it is asked. */
export function askedReview(passes: readonly DayPass[], thoughtM: ThoughtM): AskedReview {
  const review: AskedReview = {
    adding: { of: 0, hits: 0 },
    leavingOut: { of: 0, hits: 0 },
    nearest: { of: 0, hits: 0 },
  };
  for (const { pass, place, counts } of allCounts(passes)) {
    const leg = pass.ground.legs[place - 1]!;
    const strideM = leg.entry ? thoughtM(leg.entry, pass.riddenAtMs) : null;
    if (leg.asked === null || strideM === null) continue;
    const nearest = Math.round(evenCount(leg, strideM));
    const kind = leg.asked > nearest ? 'adding' : leg.asked < nearest ? 'leavingOut' : 'nearest';
    for (const [count, times] of counts) {
      review[kind].of += times;
      if (count === leg.asked) review[kind].hits += times;
    }
  }
  return review;
}
