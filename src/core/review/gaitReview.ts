import { distanceM, type PointM } from '../geometry/pointM';
import { isGaitedGait } from '../horse/strideEntry';
import { TRACK_GAITS, type TrackGait } from '../layout/trackGait';
import { gaitStretches, type RiddenStretch } from '../record/gaitStretches';
import type { HEAD_HEIGHTS } from '../record/passMark';
import type { Share } from '../statistics/proportions';
import { daysOf, readDays } from './byDay';
import type { RiddenGround } from './ground';
import type { DayPass, ReviewPass } from './reviewPass';

type Heads = Record<(typeof HEAD_HEIGHTS)[number], number>;

/** One gait that was asked: how far in which gait, in how many passes it slipped, and how the head was carried. */
export type AskedGait = {
  asked: TrackGait;
  passes: number;
  /** Passes in which another gait was ridden for a while. */
  slipped: number;
  /** Metres by the gait that was ridden. */
  riddenM: Partial<Record<TrackGait, number>>;
  heads: Heads;
};

/** Where one gait slipped into another, and in how many passes. */
export type GaitSlip = { at: PointM; asked: TrackGait; into: TrackGait; times: number };

export type GaitReview = {
  /** From slow to fast. */
  gaits: AskedGait[];
  /** How often canter came at once, by the gait it was asked out of. */
  intoCanter: { from: TrackGait | 'halt'; prompt: Share }[];
  /** Those that came most often first. */
  slips: GaitSlip[];
};

/** Of what a gaited horse is asked, and of whatever gait or head somebody marked. */
export function gaitReview(passes: readonly DayPass[]): GaitReview {
  const days = daysOf(passes).map(gaitsOf);
  return {
    gaits: TRACK_GAITS.flatMap(asked => {
      const own = days.flatMap(({ gaits }) => gaits.filter(one => one.asked === asked));
      return own.length === 0 ? [] : [own.reduce(added)];
    }).sort((a, b) => SLOW_TO_FAST.indexOf(a.asked) - SLOW_TO_FAST.indexOf(b.asked)),
    intoCanter: canterSums(days.flatMap(({ intoCanter }) => intoCanter)),
    slips: slipSums(days.flatMap(({ slips }) => slips)),
  };
}

/** Common practice, no source. */
const SLOW_TO_FAST: readonly TrackGait[] = [
  ...(['walk', 'flat-walk', 'running-walk', 'fox-trot', 'trot', 'saddle-gait', 'pace', 'canter'] as const),
  'course-canter',
];

/** The same of a day. */
export const gaitsOf = readDays('gaits', (day): GaitReview => {
  const whole = day.filter(pass => !pass.isVoid && pass.line === null);
  const marked = new Set(whole.filter(isMarked).flatMap(gaitsAsked));
  const looked = whole.filter(pass => gaitsAsked(pass).some(gait => isGaitedGait(gait) || marked.has(gait)));
  const ridden = looked.map(pass => ({ pass, stretches: stretchesOf(pass) }));
  const asked = [...new Set(ridden.flatMap(({ stretches }) => stretches.map(one => one.asked)))];
  return {
    gaits: asked.map(gait => ridden.flatMap(one => askedOf(one, gait) ?? []).reduce(added)),
    intoCanter: canterSums(ridden.flatMap(intoCanterOf)),
    slips: slipSums(ridden.flatMap(slipsOf)),
  };
});

type RiddenPass = { pass: ReviewPass; stretches: RiddenStretch[] };

const stretchesOf = ({ ground, marks }: ReviewPass) => gaitStretches(ground.gaits, ground.stopsM, marks);

/**
 * Gaits of every horse that nobody looked at that day say nothing. Where one was marked in a pass, the others of that day in which it was asked
 * were looked at too: what was not marked there was as it should be.
 */
const isMarked = ({ marks }: ReviewPass) => marks.some(({ kind }) => kind === 'gait' || kind === 'head');
const gaitsAsked = ({ ground }: ReviewPass) => ground.gaits.map(({ gait }) => gait);

function askedOf({ pass, stretches }: RiddenPass, asked: TrackGait): AskedGait | null {
  const own = stretches.filter(one => one.asked === asked);
  if (own.length === 0) return null;
  const riddenM: AskedGait['riddenM'] = {};
  for (const { ridden, fromM, toM } of own) riddenM[ridden] = (riddenM[ridden] ?? 0) + toM - fromM;
  const heads: Heads = { low: 0, 'as wanted': 0, high: 0 };
  // A head is marked of the pass as a whole: it is of the gait that most of it was asked in.
  if (asked === mostAsked(stretches)) for (const mark of pass.marks) if (mark.kind === 'head') heads[mark.height] += 1;
  return { asked, passes: 1, slipped: own.some(({ ridden }) => ridden !== asked) ? 1 : 0, riddenM, heads };
}

function mostAsked(stretches: readonly RiddenStretch[]): TrackGait | null {
  const sums = new Map<TrackGait, number>();
  for (const { asked, fromM, toM } of stretches) sums.set(asked, (sums.get(asked) ?? 0) + toM - fromM);
  return [...sums].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}

function added(a: AskedGait, b: AskedGait): AskedGait {
  const riddenM = { ...a.riddenM };
  for (const [gait, metres] of Object.entries(b.riddenM) as [TrackGait, number][])
    riddenM[gait] = (riddenM[gait] ?? 0) + metres;
  const heads: Heads = {
    low: a.heads.low + b.heads.low,
    'as wanted': a.heads['as wanted'] + b.heads['as wanted'],
    high: a.heads.high + b.heads.high,
  };
  return { asked: a.asked, passes: a.passes + b.passes, slipped: a.slipped + b.slipped, riddenM, heads };
}

/** Out of which gait canter was asked, and whether it came at once: the gait that was ridden, not the one that was asked. */
function intoCanterOf({ pass, stretches }: RiddenPass): GaitReview['intoCanter'] {
  const asked = pass.ground.changes.filter(({ from, to }) => from !== to);
  return pass.marks.flatMap(mark => {
    if (mark.kind !== 'transition' || mark.to !== 'canter') return [];
    const change = asked[mark.place - 1];
    if (!change) return [];
    const before = stretches.findLast(({ fromM }) => fromM < change.alongM - SAME_M);
    const from = change.from === 'halt' || !before ? change.from : before.ridden;
    return [{ from, prompt: { of: 1, hits: mark.how === 'prompt' ? 1 : 0 } }];
  });
}

const SAME_M = 1e-6;

function canterSums(all: GaitReview['intoCanter']): GaitReview['intoCanter'] {
  const sums = new Map<TrackGait | 'halt', Share>();
  for (const { from, prompt } of all) {
    const { of, hits } = sums.get(from) ?? { of: 0, hits: 0 };
    sums.set(from, { of: of + prompt.of, hits: hits + prompt.hits });
  }
  return [...sums].map(([from, prompt]) => ({ from, prompt })).sort((a, b) => b.prompt.of - a.prompt.of);
}

function slipsOf({ pass, stretches }: RiddenPass): GaitSlip[] {
  return stretches.flatMap(({ asked, ridden, fromM }) => {
    const at = asked === ridden ? null : placeAt(pass.ground, fromM);
    return at ? [{ at, asked, into: ridden, times: 1 }] : [];
  });
}

/** The place on the sand from which on a gait was said; null where the whole was spoken of and nothing begins there. */
export function placeAt({ stops, stopsM, changes }: RiddenGround, alongM: number): PointM | null {
  const stop = stopsM.findIndex(one => Math.abs(one - alongM) < SAME_M);
  if (stop >= 0) return stops[stop]?.at ?? null;
  const change = changes.find(one => Math.abs(one.alongM - alongM) < SAME_M);
  return change?.at ?? null;
}

/** Slips that are so near to each other are of one place, metres. */
const PLACE_M = 3;

function slipSums(all: readonly GaitSlip[]): GaitSlip[] {
  const sums: GaitSlip[] = [];
  for (const slip of all) {
    const same = sums.find(
      one => one.asked === slip.asked && one.into === slip.into && distanceM(one.at, slip.at) <= PLACE_M,
    );
    if (same) same.times += slip.times;
    else sums.push({ ...slip });
  }
  return sums.sort((a, b) => b.times - a.times);
}
