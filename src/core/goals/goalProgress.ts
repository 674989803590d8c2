import type { ExerciseFacts, RiddenStep } from '../suggest/step';
import { standingOf } from '../suggest/ladder';
import type { GateRule } from '../lesson/stageGate';
import type { TrackGait } from '../layout/trackGait';
import { headsAsWanted } from '../review/headReview';
import type { DayPass } from '../review/reviewPass';
import { reinReview } from '../review/reinReview';
import { askedReview } from '../review/countReview';
import type { StrideEntryKey } from '../horse/strideEntry';
import { dayInWords, dayNumber } from '../words/calendarDay';
import { wilsonInterval, type Share } from '../statistics/proportions';
import { stratifiedDifference } from '../statistics/stratifiedDifference';
import { otherRein } from '../track/rein';
import type { Goal, GoalMeasure } from './goal';

/**
 * How far a goal is: `unmeasured` where nothing tells of it, `too little` before there is enough, `looks reached` where it is
 * as wanted but may be by chance, `reached` where that is as good as sure.
 */
export type GoalState = 'unmeasured' | 'too little' | 'on the way' | 'looks reached' | 'reached';

/** How far a goal is, from 0 to 1, where the truth lies 95 times in 100, what is wanted; and in words. */
export type GoalProgress = {
  state: GoalState;
  now: number | null;
  low: number;
  high: number;
  wanted: number;
  words: string;
};

/** What goals are measured from; passes and steps of one pair, oldest first. */
export type GoalRecord = {
  day: number;
  passes: readonly DayPass[];
  ridden: readonly RiddenStep[];
  rule: GateRule;
  /** The stages of an exercise, by its kind; null where the shelf has none. */
  factsOf: (exercise: string) => Pick<ExerciseFacts, 'exercise' | 'stages' | 'title'> | null;
  thoughtM: (entry: StrideEntryKey, riddenAtMs: number) => number | null;
};

/** What lies farther back says nothing of how it is now, days. */
const LATELY_DAYS = 42;
/** Nothing is said of fewer (as in the review). */
const LEAST = 8;
/** One rein is as good as the other where it is surely not worse by more than this. */
export const EVEN_WITHIN = 0.2;

/** How far a pair is with a goal. */
export function goalProgress({ measure }: Pick<Goal, 'measure'>, record: GoalRecord): GoalProgress {
  if (!measure)
    return { ...bare('unmeasured', 1), words: 'Nothing that is marked tells of it: you say when it is reached.' };
  switch (measure.kind) {
    case 'stage':
      return stageProgress(measure, record);
    case 'rein':
      return reinProgress(measure, record);
    case 'clean':
      return shareProgress(cleanShare(measure, record), measure.share, 'passes clean');
    case 'count':
      return shareProgress(countShare(measure, record), measure.share, `asked counts of one ${measure.way} ridden`);
    case 'head':
      return shareProgress(headShare(measure, record), measure.share, 'passes with the head as wanted');
  }
}

const bare = (state: GoalState, wanted: number) => ({ state, now: null, low: 0, high: 1, wanted });
const percent = (share: number) => `${Math.round(100 * share)} %`;

function shareProgress(share: Share, wanted: number, what: string): GoalProgress {
  if (share.of < LEAST)
    return {
      ...bare('too little', wanted),
      words: `${share.of} lately: it is told from ${LEAST} on.`,
    };
  const { low, high } = wilsonInterval(share);
  const now = share.hits / share.of;
  const state = low >= wanted ? 'reached' : now >= wanted ? 'looks reached' : 'on the way';
  const words = `${share.hits} of ${share.of} ${what} in six weeks; 95 times in 100 between ${percent(low)} and ${percent(high)}, wanted are ${percent(wanted)}.`;
  return { state, now, low, high, wanted, words };
}

function stageProgress({ exercise, stage }: Extract<GoalMeasure, { kind: 'stage' }>, record: GoalRecord): GoalProgress {
  const facts = record.factsOf(exercise);
  const standing = facts && standingOf(facts, record.ridden, record.rule);
  const steps = stage + 1;
  const called = (index: number) => facts?.stages[index]?.name ?? `stage ${index + 1}`;
  if (!standing) return { ...bare('too little', 1), words: `${facts?.title ?? 'It'} was not ridden yet.` };
  const done = standing.at === 'earned' ? standing.stage + 1 : standing.stage;
  const now = Math.min(1, done / steps);
  const { hits, of } = standing.clean;
  const words = `“${called(standing.stage)}” was ${standing.at === 'earned' ? 'earned' : 'not earned yet'} on ${dayInWords(standing.day)}: ${hits} of ${of} clean; wanted is “${called(stage)}”.`;
  return { state: now >= 1 ? 'reached' : 'on the way', now, low: now, high: now, wanted: 1, words };
}

const isGait = (pass: DayPass, gait: TrackGait | null) => {
  const plain = (one: TrackGait) => (one === 'course-canter' ? 'canter' : one);
  return gait === null || plain(pass.question.gait) === plain(gait);
};

const lately = ({ passes, day }: GoalRecord) => passes.filter(pass => day - dayNumber(pass.day) < LATELY_DAYS);

/** One rein against the other, each question with itself: reached where it is surely not worse by more than a fifth. */
function reinProgress(
  { measure, rein, gait }: Extract<GoalMeasure, { kind: 'rein' }>,
  record: GoalRecord,
): GoalProgress {
  const wanted = 1 - EVEN_WITHIN;
  const found = reinReview(lately(record).filter(pass => isGait(pass, gait))).measures.find(
    one => one.measure === measure,
  );
  if (!found || Math.min(found.left.of, found.right.of) < LEAST)
    return {
      ...bare('too little', wanted),
      words: `It is told from ${LEAST} on each rein on; lately there were fewer.`,
    };
  const [own, other] = rein === 'left' ? [found.left, found.right] : [found.right, found.left];
  const sides = found.strata.map(({ a, b }) => (rein === 'left' ? { a, b } : { a: b, b: a }));
  const { difference, low, high } = stratifiedDifference(sides)!;
  const asGood = (by: number) => Math.max(0, Math.min(1, 1 + by));
  const state = low > -EVEN_WITHIN ? 'reached' : difference >= -EVEN_WITHIN / 2 ? 'looks reached' : 'on the way';
  const words = `${measure}: ${own.hits} of ${own.of} on the ${rein} rein, ${other.hits} of ${other.of} on the ${otherRein(rein)}; 95 times in 100 it is between ${percent(-low)} worse and ${percent(high)} better.`;
  return { state, now: asGood(difference), low: asGood(low), high: asGood(high), wanted, words: saidWell(words) };
}

/** "between 5 % worse and -3 % better" is said the right way round. */
const saidWell = (words: string) =>
  words.replace(/-(\d+) % worse/, '$1 % better').replace(/-(\d+) % better/, '$1 % worse');

function cleanShare({ purpose }: Extract<GoalMeasure, { kind: 'clean' }>, { ridden, day }: GoalRecord): Share {
  const passes = ridden
    .filter(step => step.purposes.includes(purpose) && day - step.day < LATELY_DAYS)
    .flatMap(step => step.passes);
  return { of: passes.length, hits: passes.filter(({ isClean }) => isClean).length };
}

function countShare({ way }: Extract<GoalMeasure, { kind: 'count' }>, record: GoalRecord): Share {
  const asked = askedReview(lately(record), record.thoughtM);
  return way === 'more' ? asked.adding : asked.leavingOut;
}

function headShare({ gait }: Extract<GoalMeasure, { kind: 'head' }>, record: GoalRecord): Share {
  return headsAsWanted(lately(record).filter(pass => isGait(pass, gait)));
}
