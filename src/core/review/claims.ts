import type { StrideEntryKey } from '../horse/strideEntry';
import { wilsonInterval, Z95, type Share } from '../statistics/proportions';
import type { Rein } from '../track/rein';
import { byChance } from './byChance';
import { dayNames, daysOf } from './byDay';
import type { AskedReview } from './countReview';
import { timesOf, type FaultCount } from './faultReview';
import { comparedByQuestion, differenceByQuestion } from './byQuestion';
import { cleanShares, qualitiesOf, reinReview, type ReinReview } from './reinReview';
import type { DayPass } from './reviewPass';
import { LEAST_PASSES, ofAll } from './shareWords';
import { offeredStride, type StrideReview } from './strideReview';

/** What a sentence is of: it stands with the picture of that. */
export type ClaimAbout = StrideEntryKey | 'reins' | 'quality' | 'asked' | 'faults' | 'gaits' | 'rider' | 'sand';

/** A sentence of the review, and on demand what it rests on. */
export type Claim = {
  about: ClaimAbout;
  text: string;
  /** The test, its sample and its outcome, in words. */
  because: string;
  /** How likely as much is by chance alone; null where it is an interval that speaks. */
  p: number | null;
};

/** What sentences are made with: names, and the yard's way with lengths. */
export type ClaimWords = {
  horse: string;
  format: (lengthM: number) => string;
  /** With its sign: "+14 cm". */
  formatChange: (changeM: number) => string;
  entryName: (entry: StrideEntryKey) => string;
  /** "2026-05-04" as a reader says it. */
  dayName: (day: string) => string;
};

/** Nothing is claimed of a stride from fewer days than this. */
const LEAST_DAYS = 3;
const LEVEL = 0.05;

const percent = (share: Share) => `${Math.round((100 * share.hits) / share.of)} %`;

/** What the record says of the strides of a horse, against what is thought so far and over time. */
export function strideClaims(
  reviews: readonly StrideReview[],
  thoughtM: (entry: StrideEntryKey) => number | null,
  words: ClaimWords,
): Claim[] {
  return reviews.flatMap(review => {
    const { entry, drift } = review;
    // Where the stride has changed over the season, it is the latest that the profile is held against.
    const learned = offeredStride(review);
    if (review.learned.days < LEAST_DAYS) return [];
    const { horse, format, formatChange, entryName } = words;
    const range = `${format(learned.lowM)} to ${format(learned.highM)}`;
    const basis = `${learned.legs} ${review.from === 'counts' ? 'legs ridden without a count being asked' : 'passes noted gap by gap'}, on ${learned.days} days`;
    const claims: Claim[] = [];
    const thought = thoughtM(entry);
    if (thought !== null && (thought < learned.lowM || thought > learned.highM))
      claims.push({
        about: entry,
        text: `${horse}’s ${entryName(entry)} looks ${learned.strideM > thought ? 'longer' : 'shorter'} than the profile has it: ${format(learned.strideM)}, not ${format(thought)}.`,
        because: `From ${basis}; 95 times in 100 the true one lies between ${range}.`,
        p: null,
      });
    if (drift && drift.p < LEVEL)
      claims.push({
        about: entry,
        text: `${horse}’s ${entryName(entry)} has ${drift.change > 0 ? 'grown' : 'got shorter'} over the season by about ${formatChange(drift.change).replace(/^[+−]/, '')}.`,
        because: `A line through ${drift.points} months, weighted by how sure each is; between ${formatChange(drift.low)} and ${formatChange(drift.high)}, ${byChance(drift.p)}.`,
        p: drift.p,
      });
    return [...claims, ...reinStrideClaim(review, words)];
  });
}

function reinStrideClaim({ entry, byRein: { left, right } }: StrideReview, words: ClaimWords): Claim[] {
  if (!left || !right || left.days < LEAST_DAYS || right.days < LEAST_DAYS) return [];
  const difference = left.strideM - right.strideM;
  const half = Math.hypot(left.highM - left.lowM, right.highM - right.lowM) / 2;
  if (Math.abs(difference) <= half || half === 0) return [];
  const shorter: Rein = difference < 0 ? 'left' : 'right';
  return [
    {
      about: entry,
      text: `${words.horse}’s ${words.entryName(entry)} looks shorter on the ${shorter} rein, by about ${words.format(Math.abs(difference))}.`,
      because: `Left ${words.format(left.strideM)} from ${left.legs}, right ${words.format(right.strideM)} from ${right.legs}; the difference is ${(Math.abs(difference) / (half / Z95)).toFixed(1)} times what it is uncertain by.`,
      p: null,
    },
  ];
}

/** Left against right, and whether the worse one has caught up. */
export function reinClaims(
  passes: readonly DayPass[],
  { horse, dayName }: ClaimWords,
  { measures, quality }: ReinReview = reinReview(passes),
): Claim[] {
  const enough = measures.filter(({ left, right }) => Math.min(left.of, right.of) >= LEAST_PASSES);
  const seen = enough.filter(({ p }) => p <= LEVEL / Math.max(1, enough.length));
  const claims = seen.map(({ does, left, right, excess, p }): Claim => {
    const better: Rein = excess > 0 ? 'left' : 'right';
    return {
      about: 'reins',
      text: `${horse} ${does} more often on the ${better} rein: ${percent(left)} on the left, ${percent(right)} on the right.`,
      because: `${ofAll(left)} on the left and ${ofAll(right)} on the right (question by question, an exact test, ${enough.length} things looked at): ${byChance(p)}.`,
      p,
    };
  });
  const caughtUp = catchingUp(passes, horse, dayName);
  const betterQuality: Claim[] =
    quality && quality.p < LEVEL && quality.values >= 2 * LEAST_PASSES
      ? [
          {
            about: 'reins',
            text: `${horse}’s passes are marked better on the ${quality.difference > 0 ? 'left' : 'right'} rein, by ${Math.abs(quality.difference).toFixed(1)} of a mark of 5.`,
            because: `${quality.values} marks for quality, each question against itself (least squares with blocks): ${byChance(quality.p)}.`,
            p: quality.p,
          },
        ]
      : [];
  return [...caughtUp, ...claims, ...betterQuality];
}

/** A rein that was the worse one in the first half of the record and is as good in the second. */
function catchingUp(passes: readonly DayPass[], horse: string, dayName: (day: string) => string): Claim[] {
  const days = daysOf(passes);
  const counted = days.filter(day => cleanShares([day], 'left').size + cleanShares([day], 'right').size > 0);
  const names = dayNames(counted);
  const half = names[Math.floor(names.length / 2)];
  if (half === undefined) return [];
  const [late, early] = [days.filter(([pass]) => pass!.day >= half), days.filter(([pass]) => pass!.day < half)];
  return (['left', 'right'] as const).flatMap(rein => {
    const other: Rein = rein === 'left' ? 'right' : 'left';
    const [before, after] = [cleanShares(early, rein), cleanShares(late, rein)];
    const first = comparedByQuestion(before, cleanShares(early, other));
    const second = comparedByQuestion(after, cleanShares(late, other));
    const change = comparedByQuestion(after, before);
    const sides = [first, second, change].flatMap(({ a, b }) => [a, b]);
    if (sides.some(({ of }) => of < LEAST_PASSES)) return [];
    const wasWorse = first.excess < 0 && first.p < LEVEL;
    const improved = change.excess > 0 && change.p < LEVEL;
    if (!wasWorse || !improved || second.p <= 0.2) return [];
    return [
      {
        about: 'reins',
        text: `${horse}’s ${rein} rein has caught up with the ${other} one: ${percent(change.a)} of its passes are clean since ${dayName(half)}, ${percent(change.b)} before.`,
        because: `${rein}: ${ofAll(change.b)} before, ${ofAll(change.a)} since; ${other}: ${ofAll(first.b)} and ${ofAll(second.b)} (each question against itself, exact tests). The better rein may have stood still meanwhile.`,
        p: change.p,
      },
    ];
  });
}

/** How good the passes were, early and late. */
export function qualityClaims(passes: readonly DayPass[], { horse }: ClaimWords): Claim[] {
  const all = daysOf(passes);
  const days = dayNames(all);
  if (days.length < 2 * LEAST_DAYS) return [];
  const third = Math.floor(days.length / 3);
  const [early, late] = [days[third - 1]!, days[days.length - third]!];
  const test = differenceByQuestion(
    qualitiesOf(all.filter(([pass]) => pass!.day >= late)),
    qualitiesOf(all.filter(([pass]) => pass!.day <= early)),
  );
  if (!test || test.values < 2 * LEAST_PASSES || test.p >= LEVEL) return [];
  return [
    {
      about: 'quality',
      text: `${horse}’s passes have got ${test.difference > 0 ? 'better' : 'worse'}: by ${Math.abs(test.difference).toFixed(1)} of a mark of 5 from the first third of the days to the last.`,
      because: `${test.values} marks early and late, each question against itself (least squares with blocks): ${byChance(test.p)}.`,
      p: test.p,
    },
  ];
}

/** Whether a stride can be added or left out when it is asked. */
export function askedClaims({ adding, leavingOut }: AskedReview, { horse }: ClaimWords): Claim[] {
  const told = (share: Share, what: string): Claim[] => {
    if (share.of < LEAST_PASSES) return [];
    const { low, high } = wilsonInterval(share);
    const word = low > 0.5 ? 'can' : high < 0.5 ? 'does not yet reliably' : null;
    if (!word) return [];
    return [
      {
        about: 'asked',
        text: `${horse} ${word} ${what} a stride when asked: ${ofAll(share)}.`,
        because: `95 times in 100 the true share lies between ${Math.round(low * 100)} and ${Math.round(high * 100)} %.`,
        p: null,
      },
    ];
  };
  return [...told(adding, 'add'), ...told(leavingOut, 'leave out')];
}

/** The fault that comes most often, where one stands before all others. */
export function faultClaims(faults: readonly FaultCount[], passes: number, { horse }: ClaimWords): Claim[] {
  const [most, next] = faults;
  if (!most || passes < 2 * LEAST_PASSES) return [];
  const [a, b] = [timesOf(most), next ? timesOf(next) : 0];
  // As likely as a coin that falls this way so often: the two most frequent against each other.
  const even = wilsonInterval({ of: a + b, hits: a });
  if (a < LEAST_PASSES || even.low <= 0.5) return [];
  return [
    {
      about: 'faults',
      text: `What goes wrong most often for ${horse} is ${most.what}: ${a} times in ${passes} passes.`,
      because: `${most.left} times on the left rein, ${most.right} on the right${most.without > 0 ? `, ${most.without} on tracks that change the rein` : ''}${next ? `; next comes ${next.what}, ${b} times` : ''}.`,
      p: null,
    },
  ];
}
