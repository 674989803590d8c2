import type { StrideEntryKey } from '../horse/strideEntry';
import { USUAL_SPREAD } from '../stride/readDistance';
import type { RiddenLeg } from './ground';
import { learnStride, logChance, type RiddenPass } from './learnStride';
import { grouped, type ReviewPass } from './reviewPass';

/** What turns cost the horses of a yard, held against the rule. */
export type TurnReview = {
  /** How many times the cost that the rule says: 1 is as the rule, 0 none; and where the true one lies, 95 times in 100. */
  times: number;
  low: number;
  high: number;
  /** Counts on turns that cost by the rule, in how many passes, of how many horses. */
  counts: number;
  passes: number;
  horses: number;
  /** The lean at which the rule would say so much, degrees; null where no lean does. */
  leanDeg: number | null;
};

/** Fewer passes on tight turns than this say nothing. */
const LEAST_PASSES = 8;
const MOST_TIMES = 4;
const STEPS = 160;
/** Half of what a stride varies by may belong to the pass: legs of one pass say less than separate ones. */
const ALIKE = 0.5;
/** Half the 95 % point of χ² with one degree: what the log-likelihood may fall to the ends of the interval. */
const FALL = 1.920729;

type TurnCount = { leg: RiddenLeg; count: number; strideM: { low: number; at: number; high: number } };

/**
 * Whether counts on tight turns ask for more or less than the rule says, by the stride that each horse has on straights.
 * @param horseOf - the horse of a pair
 * @param thoughtM - the stride that is thought of a horse so far; null where nobody knows one
 * @param leanDeg - the lean by which the ground of the passes was counted, degrees
 * @returns null from fewer than eight passes with a count on such a turn, or where they do not close in on it
 */
export function turnReview(
  passes: readonly ReviewPass[],
  horseOf: (pairId: string) => string,
  thoughtM: (horseId: string, entry: StrideEntryKey) => number | null,
  leanDeg: number,
): TurnReview | null {
  const found = [
    ...grouped(
      passes.filter(({ isVoid }) => !isVoid),
      ({ pairId }) => horseOf(pairId),
    ),
  ].flatMap(([horseId, own]) => turnCounts(own, entry => thoughtM(horseId, entry)));
  if (found.length < LEAST_PASSES) return null;
  const counts = found.flatMap(pass => pass);
  const stretch = 1 + ALIKE * (counts.length / found.length - 1);
  const at = likeliest(counts, ({ at }) => at, stretch);
  // The stride on straights is not known for certain: its ends give the ends of this.
  const [short, long] = [likeliest(counts, ({ low }) => low, stretch), likeliest(counts, ({ high }) => high, stretch)];
  if (!at || !short || !long) return null;
  return {
    times: at.times,
    low: Math.min(at.low, short.low, long.low),
    high: Math.max(at.high, short.high, long.high),
    ...{ counts: counts.length, passes: found.length },
    horses: new Set(passes.map(({ pairId }) => horseOf(pairId))).size,
    leanDeg: leanFor(counts, at.times, leanDeg),
  };
}

/** The counts on turns that cost, by pass, with the stride that the horse has on straights. */
function turnCounts(own: readonly ReviewPass[], thoughtM: (entry: StrideEntryKey) => number | null): TurnCount[][] {
  const straight: RiddenPass[] = [];
  const turned: { leg: RiddenLeg; count: number }[][] = [];
  for (const pass of own) {
    const counts = pass.marks.flatMap(mark => {
      const leg = mark.kind === 'strides' ? pass.ground.legs[mark.place - 1] : undefined;
      if (mark.kind !== 'strides' || leg?.entry !== 'course-canter' || leg.asked !== null || mark.count === 0)
        return [];
      return [{ leg, count: mark.count }];
    });
    const even = counts.filter(({ leg }) => leg.turnShare === 1);
    if (even.length > 0)
      straight.push({
        counts: even.map(({ leg, count }) => ({ groundM: leg.groundM, count, rule: leg.rule })),
        times: 1,
      });
    const tight = counts.filter(({ leg }) => leg.turnShare < 1);
    if (tight.length > 0) turned.push(tight);
  }
  const aroundM = thoughtM('course-canter');
  const days = new Set(own.map(({ day }) => day)).size;
  const learned = aroundM === null || turned.length === 0 ? null : learnStride(straight, aroundM, Math.max(1, days));
  if (!learned) return [];
  const strideM = { low: learned.lowM, at: learned.strideM, high: learned.highM };
  return turned.map(pass => pass.map(count => ({ ...count, strideM })));
}

/** How many times the rule's cost makes the counts the likeliest, and how far it may be off. */
function likeliest(
  counts: readonly TurnCount[],
  strideOf: (stride: TurnCount['strideM']) => number,
  stretch: number,
): { times: number; low: number; high: number } | null {
  const fits = Array.from({ length: STEPS + 1 }, (_, step) => {
    const times = (MOST_TIMES * step) / STEPS;
    return counts.reduce((sum, { leg, count, strideM }) => {
      const groundM = leg.groundM + times * (leg.countedM - leg.groundM);
      return sum + logChance({ groundM, count, rule: leg.rule }, strideOf(strideM), USUAL_SPREAD);
    }, 0);
  });
  const best = fits.indexOf(Math.max(...fits));
  const level = fits[best]! - FALL * stretch;
  const [low, high] = [fits.findIndex(fit => fit >= level), fits.findLastIndex(fit => fit >= level)];
  if (high === STEPS) return null;
  const timesAt = (step: number) => (MOST_TIMES * step) / STEPS;
  return { times: timesAt(best), low: timesAt(low), high: timesAt(high) };
}

const MOST_LEAN_DEG = 45;
const LEAST_LEAN_DEG = 5;

/** The lean at which the turns that were ridden would cost so many times what they do by this one. */
function leanFor(counts: readonly TurnCount[], times: number, leanDeg: number): number | null {
  const tan = (deg: number) => Math.tan((deg * Math.PI) / 180);
  const costAt = (deg: number) =>
    counts.reduce((sum, { leg }) => {
      const share = Math.min(1, leg.turnShare * Math.sqrt(tan(deg) / tan(leanDeg)));
      const turnM = (leg.countedM - leg.groundM) / (1 / leg.turnShare - 1);
      return sum + turnM * (1 / share - 1);
    }, 0);
  const wanted = times * costAt(leanDeg);
  if (costAt(LEAST_LEAN_DEG) < wanted || costAt(MOST_LEAN_DEG) > wanted) return null;
  let [low, high] = [LEAST_LEAN_DEG, MOST_LEAN_DEG];
  for (let step = 0; step < 30; step += 1) {
    const middle = (low + high) / 2;
    // The farther one leans, the less it costs.
    if (costAt(middle) > wanted) low = middle;
    else high = middle;
  }
  return Math.round((low + high) / 2);
}

/** The sentence of it, and what it rests on; null where the record does not contradict the rule. */
export function turnClaim({
  times,
  low,
  high,
  counts,
  passes,
  leanDeg,
}: TurnReview): { text: string; because: string } | null {
  if (low <= 1 && high >= 1) return null;
  const share = `${times.toFixed(1)} times`;
  const more = times > 1;
  const lean =
    leanDeg === null ? '' : ` A lean of about ${leanDeg}° would reckon so; it is set under “How this yard teaches”.`;
  return {
    text: `Tight turns cost your horses ${more ? 'more' : 'less'} stride than the rule says: ${share} as much.${lean}`,
    because: `From ${counts} counts on tight turns in ${passes} passes, against each horse’s stride on straights; 95 times in 100 the true one lies between ${low.toFixed(1)} and ${high.toFixed(1)} times.`,
  };
}
