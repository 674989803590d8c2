import type { Share } from '../statistics/proportions';
import type { Stratum } from '../statistics/stratifiedExact';
import type { Rein } from '../track/rein';
import { daysOf, readDays, type ReviewDay } from './byDay';
import { comparedByQuestion, differenceByQuestion, type ByQuestion } from './byQuestion';
import { MEASURES } from './measures';
import { grouped, type DayPass, type ReviewPass } from './reviewPass';

/** Left against right in one thing: so many of so many on each, and how likely as great a difference is by chance. */
export type ReinMeasure = {
  measure: string;
  /** What a horse does more often on one rein: “lands on the lead of the rein”. */
  does: string;
  left: Share;
  right: Share;
  /** By how many the left rein is over what its questions give it. */
  excess: number;
  p: number;
  /** Question by question, left as `a`. */
  strata: readonly Stratum[];
};

export type ReinReview = {
  measures: ReinMeasure[];
  /** How much better the left rein is marked, of 5; null where no question was marked on both. */
  quality: { difference: number; p: number; values: number } | null;
};

/**
 * Left against right in everything that was marked, each question compared with itself: what was ridden on one rein only is
 * left out, and so are passes that do not count, and lines by themselves.
 */
export function reinReview(passes: readonly DayPass[]): ReinReview {
  const days = daysOf(passes);
  const [left, right] = [sharesOn(days, 'left'), sharesOn(days, 'right')];
  const measures = MEASURES.flatMap(({ measure, does }, index) => {
    const { a, b, excess, p, strata } = comparedByQuestion(nth(left, index), nth(right, index));
    return a.of === 0 || b.of === 0 ? [] : [{ measure, does, left: a, right: b, excess, p, strata }];
  });
  return { measures, quality: differenceByQuestion(qualitiesOn(days, 'left'), qualitiesOn(days, 'right')) };
}

/** Every measure of some passes of a question added up, in their order, and their marks for quality. */
type OnRein = { shares: Share[]; qualities: number[] };

/** What the passes of a day that count come to on each rein; null where none was ridden on it. */
export const reinsOf = readDays('reins', (day): Record<Rein, OnRein | null> => {
  const counted = day.filter(pass => !pass.isVoid && pass.line === null);
  const on = (rein: Rein): OnRein | null => {
    const own = counted.filter(pass => pass.rein === rein);
    return own.length === 0 ? null : onReinOf(own);
  };
  return { left: on('left'), right: on('right') };
});

/** What days come to on a rein, by what was asked. */
function onRein(days: readonly ReviewDay[], rein: Rein): Map<string, OnRein[]> {
  const byKey = new Map<string, OnRein[]>();
  for (const day of days) {
    const on = reinsOf(day)[rein];
    if (!on) continue;
    const own = byKey.get(day[0]!.key);
    if (own) own.push(on);
    else byKey.set(day[0]!.key, [on]);
  }
  return byKey;
}

function onReinOf(passes: readonly ReviewPass[]): OnRein {
  const each = passes.map(pass => MEASURES.map(({ of }) => of(pass)));
  return { shares: each.reduce(added), qualities: qualities(passes) };
}

function added(a: readonly Share[], b: readonly Share[]): Share[] {
  return a.map(({ of, hits }, index) => ({ of: of + b[index]!.of, hits: hits + b[index]!.hits }));
}

function sharesOn(days: readonly ReviewDay[], rein: Rein): ByQuestion<Share[]> {
  return new Map([...onRein(days, rein)].map(([key, own]) => [key, own.map(({ shares }) => shares).reduce(added)]));
}

function qualitiesOn(days: readonly ReviewDay[], rein: Rein): ByQuestion<number[]> {
  return new Map([...onRein(days, rein)].map(([key, own]) => [key, own.flatMap(({ qualities: marked }) => marked)]));
}

const nth = (shares: ByQuestion<Share[]>, index: number): ByQuestion<Share> =>
  new Map([...shares].map(([key, all]) => [key, all[index]!]));

/** The passes of some days on a rein that count, and how many of them were clean, question by question. */
export function cleanShares(days: readonly ReviewDay[], rein: Rein): ByQuestion<Share> {
  // The first of the measures: every pass is one, clean or not.
  return nth(sharesOn(days, rein), 0);
}

/** The marks for quality of some passes, in order. */
export function qualities(passes: readonly ReviewPass[]): number[] {
  return passes.flatMap(({ marks }) => marks.flatMap(mark => (mark.kind === 'quality' ? [mark.value] : [])));
}

export const dayQualities = readDays('qualities', qualities);

/** The marks for quality of some days, question by question. */
export function qualitiesOf(days: readonly ReviewDay[]): ByQuestion<number[]> {
  const byKey = grouped(days, ([pass]) => pass!.key);
  return new Map([...byKey].map(([key, own]) => [key, own.flatMap(dayQualities)]));
}
