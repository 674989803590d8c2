import { PURPOSES, type Purpose } from '../exercises/exercise';
import type { TrackGait } from '../layout/trackGait';
import { holm } from '../statistics/holm';
import { fisherExact, type Share } from '../statistics/proportions';
import { excessHits, stratifiedExact, type Stratum } from '../statistics/stratifiedExact';
import { otherRein, REINS, type Rein } from '../track/rein';
import type { RiddenStep } from './step';

/** Something in which a pair is surely less often clean than in the rest. */
export type Uneven = { own: Share; rest: Share; p: number } & (
  { of: 'rein'; rein: Rein } | { of: 'gait'; gait: PlainGait } | { of: 'purpose'; purpose: Purpose }
);

export const PLAIN_GAITS = ['walk', 'trot', 'canter'] as const;
export type PlainGait = (typeof PLAIN_GAITS)[number];

/** The canter of a course is a canter; a gait of its own is none of the three. */
export function plainGait(gait: TrackGait | null): PlainGait | null {
  if (gait === 'course-canter') return 'canter';
  return PLAIN_GAITS.find(one => one === gait) ?? null;
}

/** Nothing is said of a side from fewer passes than this. */
const LEAST_PASSES = 8;
const LEVEL = 0.05;
/** The first look is at so many passes; each doubling of them is another look. */
const FIRST_LOOK = 16;

/**
 * The level of a look: a record that is looked at week after week has many chances to look uneven, so each doubling of it has a
 * smaller share of the level, and all shares together are the level (1/2 + 1/6 + 1/12 + … = 1).
 */
export function levelOfLook(passes: number, pairs = 1): number {
  const look = Math.max(1, Math.floor(Math.log2(Math.max(1, passes / FIRST_LOOK))) + 1);
  return LEVEL / (look * (look + 1)) / Math.max(1, pairs);
}

const NONE: Share = { of: 0, hits: 0 };
const add = (a: Share, b: Share): Share => ({ of: a.of + b.of, hits: a.hits + b.hits });

function shareOf(passes: RiddenStep['passes']): Share {
  return { of: passes.length, hits: passes.filter(({ isClean }) => isClean).length };
}

/** What lies farther back may have been mended since, days (common practice, no source: two months). */
const LATELY_DAYS = 56;

/**
 * Where a pair is surely less often clean lately: on a rein, each stage compared with itself (exact, stratified); in a gait, or for a
 * purpose, against all the rest (Fisher’s exact test). All looks together are held to one level.
 * @param ridden - the whole record: by its length is told how often it was looked at
 * @param pairs - how many pairs are looked at for one answer: each is a look more
 */
export function unevenIn(ridden: readonly RiddenStep[], day: number, pairs = 1): Uneven[] {
  const all = ridden.reduce((sum, { passes }) => sum + passes.length, 0);
  const lately = ridden.filter(step => day - step.day < LATELY_DAYS);
  const looked = [...reinLook(lately), ...gaitLooks(lately), ...purposeLooks(lately)].filter(
    ({ own, rest }) => Math.min(own.of, rest.of) >= LEAST_PASSES,
  );
  const holds = holm(
    looked.map(({ p }) => p),
    levelOfLook(all, pairs),
  );
  return looked.filter((one, index) => holds[index] && one.own.hits / one.own.of < one.rest.hits / one.rest.of);
}

function reinLook(ridden: readonly RiddenStep[]): Uneven[] {
  const strata = new Map<string, Stratum>();
  for (const { exercise, stage, passes } of ridden) {
    const key = `${exercise} ${stage}`;
    const { a, b } = strata.get(key) ?? { a: NONE, b: NONE };
    const [left, right] = REINS.map(rein => shareOf(passes.filter(pass => pass.rein === rein))) as [Share, Share];
    strata.set(key, { a: add(a, left), b: add(b, right) });
  }
  const both = [...strata.values()].filter(({ a, b }) => a.of > 0 && b.of > 0);
  const worse: Rein = excessHits(both) <= 0 ? 'left' : 'right';
  const [left, right] = [both.map(({ a }) => a).reduce(add, NONE), both.map(({ b }) => b).reduce(add, NONE)];
  const [own, rest] = worse === 'left' ? [left, right] : [right, left];
  return both.length === 0 ? [] : [{ of: 'rein', rein: worse, own, rest, p: stratifiedExact(both) }];
}

function against(ridden: readonly RiddenStep[], isOwn: (step: RiddenStep) => boolean) {
  const side = (own: boolean) =>
    ridden.filter(step => isOwn(step) === own).reduce((sum, { passes }) => add(sum, shareOf(passes)), NONE);
  const [own, rest] = [side(true), side(false)];
  return { own, rest, p: fisherExact(own, rest) };
}

function gaitLooks(ridden: readonly RiddenStep[]): Uneven[] {
  return PLAIN_GAITS.map(gait => ({ of: 'gait', gait, ...against(ridden, step => plainGait(step.gait) === gait) }));
}

function purposeLooks(ridden: readonly RiddenStep[]): Uneven[] {
  const told = ridden.filter(({ purposes }) => purposes.length > 0);
  return PURPOSES.map(purpose => ({
    ...{ of: 'purpose', purpose },
    ...against(told, ({ purposes }) => purposes.includes(purpose)),
  }));
}

/** What is uneven, in words with its numbers of the last eight weeks. */
export function unevenWords(uneven: Uneven): string {
  const of = ({ hits, of: all }: Share) => `${hits} of ${all}`;
  const { own, rest } = uneven;
  switch (uneven.of) {
    case 'rein':
      return `the ${uneven.rein} rein was clean in ${of(own)} passes of eight weeks, the ${otherRein(uneven.rein)} in ${of(rest)}`;
    case 'gait':
      return `${uneven.gait} was clean in ${of(own)} passes of eight weeks, the rest in ${of(rest)}`;
    case 'purpose':
      return `what is for ${uneven.purpose} was clean in ${of(own)} passes of eight weeks, the rest in ${of(rest)}`;
  }
}
