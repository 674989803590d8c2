import { chainEnd, nearestOnChain, poseAt, type Chain } from '../geometry/chain';
import { pointAlong, type PointM } from '../geometry/pointM';
import { isRidden, type RiddenItem } from '../items/item';
import { mayRideFromBehind, ridingPose, ridingWidthM } from '../items/footprint';
import type { ItemTrack, Layout } from '../layout/layout';
import {
  wayBetween,
  wayPose,
  type PositionNoise,
  type RiddenStop,
  type RiddenWay,
  type TrackPoint,
} from './simulatePass';

/** A track laid over a layout: what was ridden over, in order. Legs are between one and the next. */
export type MatchedTrack = { ridden: RiddenStop[]; missed: string[]; extra: string[] };

/** Crossings farther off than so many deviations of the noise from an item's end are not of it. */
const REACH_SD = 4;
/** How far from the middle of something a pair rides over it, metres (one deviation; common practice, no source). */
const AIM_SD_M = 0.4;
/** What a pair that passes beside something keeps from its end, metres. */
const BESIDE_M = 2.2;
const BESIDE_SD_M = 0.8;
/** How likely something planned is left out, and something else is ridden, before anything is known. */
const P_MISSED = 0.02;
const P_EXTRA = 0.02;
/** The first and the last are seldom left out: a pair means to begin and to end. */
const P_END_MISSED = 0.002;
/** Two crossings of one line the same way within this are one, smeared by noise, seconds. */
const SAME_CROSSING_S = 1.2;
const MOST_HYPOTHESES = 60;

/** A place where the recorded track crosses the line through an item the way it may be ridden. */
type Crossing = { item: RiddenItem; fromBehind: boolean; timeS: number; asideM: number; leftRad: number };

/** What may have happened so far: what was ridden, where in the plan it is, and how far off the receiver is thought. */
type Hypothesis = {
  cost: number;
  /** The part of the cost that was there before anything was recorded. */
  prior: number;
  next: number;
  ridden: Crossing[];
  /** For each that was ridden, the place in the plan that it took; null for what the plan does not have there. */
  planned: (number | null)[];
  extra: number;
  error: ErrorState;
};
type ErrorState = { timeS: number; dx: number; dy: number; vxx: number; vxy: number; vyy: number };

/**
 * Lays a recorded track over a layout: which items were ridden over, in which order. Each crossing of the line through an
 * item was over it, or beside it, or has nothing to do with it; the receiver's error, which wanders slowly, is reckoned
 * along (a Kalman filter in each hypothesis), so that a whole track that is two metres off still fits. The likeliest
 * stories are then ridden, and the one whose way leaves the most believable error wins; how it differs from the plan is told.
 * @param points - in order of time, in the arena's own coordinates
 */
export function matchTrack(
  layout: Layout,
  track: ItemTrack,
  points: readonly TrackPoint[],
  noise: Pick<PositionNoise, 'sdM' | 'correlationS'>,
): MatchedTrack {
  const crossings = layout.items
    .filter(isRidden)
    .flatMap(item => crossingsOf(item, points, noise.sdM))
    .sort((a, b) => a.timeS - b.timeS);
  const start: Hypothesis = {
    ...{ cost: 0, prior: 0, next: 0, ridden: [], planned: [], extra: 0 },
    error: { timeS: 0, dx: 0, dy: 0, vxx: noise.sdM ** 2, vxy: 0, vyy: noise.sdM ** 2 },
  };
  let hypotheses = [start];
  for (const crossing of crossings)
    hypotheses = best(hypotheses.flatMap(hypothesis => continued(hypothesis, crossing, track, noise)));
  const likely = hypotheses
    .filter(({ ridden }) => ridden.length > 0)
    .sort((a, b) => tailCost(track, a) - tailCost(track, b))
    .slice(0, MOST_RIDDEN_AGAIN);
  let winner: Hypothesis | null = null;
  let least = Infinity;
  for (const hypothesis of likely) {
    const prior = hypothesis.prior + tailCost(track, hypothesis) - hypothesis.cost;
    const cost = prior + wayCost(layout, track, hypothesis, points, noise, least - prior);
    if (cost < least) [winner, least] = [hypothesis, cost];
  }
  return toldOf(winner ?? start, track);
}

/** So many of the likeliest stories are ridden again. */
const MOST_RIDDEN_AGAIN = 30;

/** What a story costs once everything that is left of the plan is taken as missed. */
function tailCost(track: ItemTrack, { cost, next }: Hypothesis): number {
  const left = track.through.length - next;
  return left === 0 ? cost : cost - Math.log(P_END_MISSED) - (left - 1) * Math.log(P_MISSED);
}

function best(hypotheses: Hypothesis[]): Hypothesis[] {
  const unique = new Map<string, Hypothesis>();
  for (const hypothesis of hypotheses) {
    const key = hypothesis.ridden.map(({ item, timeS }) => `${item.id} ${timeS}`).join();
    const before = unique.get(key);
    if (!before || hypothesis.cost < before.cost) unique.set(key, hypothesis);
  }
  return [...unique.values()].sort((a, b) => a.cost - b.cost).slice(0, MOST_HYPOTHESES);
}

/** What a crossing may have been. */
function continued(
  before: Hypothesis,
  crossing: Crossing,
  track: ItemTrack,
  noise: Pick<PositionNoise, 'sdM' | 'correlationS'>,
): Hypothesis[] {
  const error = drifted(before.error, crossing.timeS, noise);
  const { meanM, sdM } = along(error, crossing.leftRad);
  const offM = crossing.asideM - meanM;
  const halfM = ridingWidthM(crossing.item) / 2;
  const stories: Hypothesis[] = [{ ...before, error, cost: before.cost + besideCost(offM, sdM, halfM) }];
  const spreadM = Math.hypot(sdM, AIM_SD_M);
  const overCost = 0.5 * (offM / spreadM) ** 2 + Math.log(spreadM);
  const over = (next: number, prior: number, extra: number): Hypothesis => ({
    ...{ next, extra, cost: before.cost + overCost + prior, prior: before.prior + prior },
    ridden: [...before.ridden, crossing],
    planned: [...before.planned, extra > before.extra ? null : next - 1],
    error: corrected(error, crossing.leftRad, crossing.asideM),
  });
  // Over the next of the plan, or over a later one, the ones between missed.
  for (let skipped = 0; skipped < 4 && before.next + skipped < track.through.length; skipped += 1) {
    const stop = track.through[before.next + skipped]!;
    if (stop.item !== crossing.item.id || stop.reversed !== crossing.fromBehind) continue;
    stories.push(over(before.next + skipped + 1, skippedCost(before, skipped), before.extra));
    break;
  }
  // Over something that the plan does not have here.
  if (before.next > 0 && before.next < track.through.length)
    stories.push(over(before.next, -Math.log(P_EXTRA), before.extra + 1));
  return stories;
}

/** What was ridden instead of something took its place: that one is not missed besides. */
function skippedCost({ next, planned }: Hypothesis, skipped: number): number {
  const instead = planned.length - 1 - planned.findLastIndex(place => place !== null);
  const missed = Math.max(0, skipped - instead);
  if (missed === 0) return 0;
  return next === 0 ? -Math.log(P_END_MISSED) - (missed - 1) * Math.log(P_MISSED) : -missed * Math.log(P_MISSED);
}

/** Not over it: elsewhere altogether, or past its end. Nobody goes through something without riding over it. */
function besideCost(offM: number, sdM: number, halfM: number): number {
  const clearM = Math.abs(offM) - halfM;
  const spreadM = Math.hypot(sdM, BESIDE_SD_M);
  const short = (BESIDE_M - clearM) / spreadM;
  return short <= 0 ? 0 : 0.5 * short ** 2;
}

function drifted(error: ErrorState, timeS: number, { sdM, correlationS }: Pick<PositionNoise, 'sdM' | 'correlationS'>) {
  const keep = Math.exp(-Math.max(0, timeS - error.timeS) / correlationS);
  const fresh = sdM ** 2 * (1 - keep ** 2);
  return {
    timeS,
    dx: error.dx * keep,
    dy: error.dy * keep,
    vxx: error.vxx * keep ** 2 + fresh,
    vxy: error.vxy * keep ** 2,
    vyy: error.vyy * keep ** 2 + fresh,
  };
}

/** What the error comes to across an item, to its left. */
function along({ dx, dy, vxx, vxy, vyy }: ErrorState, leftRad: number): { meanM: number; sdM: number } {
  const [c, s] = [Math.cos(leftRad), Math.sin(leftRad)];
  return { meanM: dx * c + dy * s, sdM: Math.sqrt(Math.max(1e-9, vxx * c * c + 2 * vxy * c * s + vyy * s * s)) };
}

/** The error after a crossing that was over the middle of something. */
function corrected(error: ErrorState, leftRad: number, asideM: number): ErrorState {
  const [c, s] = [Math.cos(leftRad), Math.sin(leftRad)];
  const { meanM, sdM } = along(error, leftRad);
  const total = sdM ** 2 + AIM_SD_M ** 2;
  const [gx, gy] = [(error.vxx * c + error.vxy * s) / total, (error.vxy * c + error.vyy * s) / total];
  const offM = asideM - meanM;
  return {
    timeS: error.timeS,
    dx: error.dx + gx * offM,
    dy: error.dy + gy * offM,
    vxx: error.vxx - gx * gx * total,
    vxy: error.vxy - gx * gy * total,
    vyy: error.vyy - gy * gy * total,
  };
}

/** Where the track crosses the line through an item, each way that it may be ridden. */
function crossingsOf(item: RiddenItem, points: readonly TrackPoint[], sdM: number): Crossing[] {
  const reachM = ridingWidthM(item) / 2 + REACH_SD * sdM;
  return (mayRideFromBehind(item) ? [false, true] : [false]).flatMap(fromBehind => {
    const { at, headingRad } = ridingPose(item, fromBehind);
    const leftRad = headingRad + Math.PI / 2;
    const place = ({ at: { xM, yM } }: TrackPoint) => {
      const [dx, dy] = [xM - at.xM, yM - at.yM];
      return {
        aheadM: dx * Math.cos(headingRad) + dy * Math.sin(headingRad),
        asideM: dx * Math.cos(leftRad) + dy * Math.sin(leftRad),
      };
    };
    const found: Crossing[] = [];
    for (let index = 0; index + 1 < points.length; index += 1) {
      const [a, b] = [place(points[index]!), place(points[index + 1]!)];
      if (!(a.aheadM < 0 && b.aheadM >= 0)) continue;
      const share = -a.aheadM / (b.aheadM - a.aheadM);
      const asideM = a.asideM + share * (b.asideM - a.asideM);
      if (Math.abs(asideM) > reachM) continue;
      const timeS = points[index]!.timeS + share * (points[index + 1]!.timeS - points[index]!.timeS);
      const last = found[found.length - 1];
      if (last && timeS - last.timeS < SAME_CROSSING_S) continue;
      found.push({ item, fromBehind, timeS, asideM, leftRad });
    }
    return found;
  });
}

/** How far the way ridden may wander from the one reckoned, from point to point, metres. */
const WANDER_M = 0.15;
const MOST_MISSED_VARIANTS = 3;

/**
 * How unlikely the receiver's error would be if this were the story: the ways between what was ridden are reckoned, those
 * past what was missed on either side and straight on, ridden at one speed that suits all crossings, and what the points
 * are off is taken as a slowly wandering error.
 */
function wayCost(
  layout: Layout,
  track: ItemTrack,
  { ridden, planned }: Hypothesis,
  points: readonly TrackPoint[],
  noise: Pick<PositionNoise, 'sdM' | 'correlationS'>,
  known: number,
): number {
  const ways = ridden.map(({ item, fromBehind }): RiddenWay => ({ item, reversed: fromBehind, beside: null }));
  let stories: Chain[][][] = [[]];
  for (let index = 0; index + 1 < ridden.length; index += 1) {
    const past = waysPast(layout, track, ways[index]!, ways[index + 1]!, missedBetween(track, planned, index));
    stories = stories.flatMap(legs => past.map(way => [...legs, way])).slice(0, MOST_STORIES);
  }
  return stories.reduce((least, legs) => {
    const hopeless = Math.min(least, known) + HOPELESS;
    return Math.min(least, storyCost(ways, ridden, legs, points, noise, hopeless));
  }, Infinity);
}

const MOST_STORIES = 27;
/** A better clock gains less than this; what is so much worse at first is not looked at closer. */
const HOPELESS = 25;

function storyCost(
  ways: readonly RiddenWay[],
  ridden: readonly Crossing[],
  legs: readonly Chain[][],
  points: readonly TrackPoint[],
  noise: Pick<PositionNoise, 'sdM' | 'correlationS'>,
  giveUpAt: number,
): number {
  const alongM = [0];
  for (const chains of legs)
    alongM.push(alongM[alongM.length - 1]! + chains.reduce((sum, chain) => sum + chain.lengthM, 0));
  const clock = oneSpeed(
    ridden.map(({ timeS }) => timeS),
    alongM,
  );
  const totalM = alongM[alongM.length - 1]!;
  const chains = legs.flat();
  const [first, last] = [wayPose(ways[0]!), wayPose(ways[ways.length - 1]!)];
  const costAt = ({ speed, startS }: Clock) => {
    const at = (timeS: number) => {
      const metres = speed * (timeS - startS);
      if (metres < 0) return pointAlong(first.at, first.headingRad, metres);
      if (metres > totalM || chains.length === 0) return pointAlong(last.at, last.headingRad, metres - totalM);
      return onChains(chains, metres);
    };
    return errorCost(points, at, noise);
  };
  return bestClock(clock, costAt, giveUpAt);
}

/** One speed for the whole ride, and when the first was crossed. */
type Clock = { speed: number; startS: number };

const CLOCK_ROUNDS = 6;

/**
 * The least cost about a clock: on a bend a clock that is a little off looks like an error that turns, so it is closed in
 * on, a little earlier and later, a little slower and faster, by ever smaller steps.
 */
function bestClock(clock: Clock, costAt: (clock: Clock) => number, giveUpAt: number): number {
  let best = { clock, cost: costAt(clock) };
  if (best.cost > giveUpAt) return best.cost;
  let [startStepS, speedStep] = [0.24, 0.03];
  for (let round = 0; round < CLOCK_ROUNDS; round += 1) {
    const { speed, startS } = best.clock;
    const tries: Clock[] = [
      { speed, startS: startS - startStepS },
      { speed, startS: startS + startStepS },
      { speed: speed * (1 - speedStep), startS },
      { speed: speed * (1 + speedStep), startS },
    ];
    const found = tries.map(one => ({ clock: one, cost: costAt(one) })).reduce((x, y) => (y.cost < x.cost ? y : x));
    if (found.cost < best.cost) best = found;
    else [startStepS, speedStep] = [startStepS / 2, speedStep / 2];
  }
  return best.cost;
}

const USUAL_SPEED_M_PER_S = 5;

/** The speed, and when the first was crossed at it, that suit all crossings best (least squares). */
function oneSpeed(timesS: readonly number[], alongM: readonly number[]): Clock {
  const n = timesS.length;
  const meanS = timesS.reduce((sum, one) => sum + one, 0) / n;
  const meanM = alongM.reduce((sum, one) => sum + one, 0) / n;
  const spread = timesS.reduce((sum, one) => sum + (one - meanS) ** 2, 0);
  const both = timesS.reduce((sum, one, index) => sum + (one - meanS) * (alongM[index]! - meanM), 0);
  const speed = spread > 0 && both > 0 ? both / spread : USUAL_SPEED_M_PER_S;
  return { speed, startS: meanS - meanM / speed };
}

/** The items of the plan that were left out between one that was ridden and the next. */
function missedBetween(track: ItemTrack, planned: readonly (number | null)[], index: number) {
  const [from, to] = [planned[index], planned[index + 1]];
  if (from === null || to === null || from === undefined || to === undefined) return [];
  return track.through.slice(from + 1, to);
}

/** The ways from one to the next past what was missed: straight on, or beside each on either side. */
function waysPast(
  layout: Layout,
  track: ItemTrack,
  from: RiddenWay,
  to: RiddenWay,
  missed: readonly ItemTrack['through'][number][],
): Chain[][] {
  const leg = track.through.findIndex(
    ({ item }, i) => item === from.item.id && track.through[i + 1]?.item === to.item.id,
  );
  const straight = [wayBetween(layout, track, from, to, leg)];
  if (missed.length === 0 || missed.length > MOST_MISSED_VARIANTS) return [straight];
  const sides = missed.reduce<RiddenWay[][]>(
    (all, { item: id, reversed }) => {
      const item = layout.items.filter(isRidden).find(one => one.id === id)!;
      return all.flatMap(ways => (['left', 'right'] as const).map(beside => [...ways, { item, reversed, beside }]));
    },
    [[]],
  );
  // Nobody goes straight on through what was missed.
  const through = missed.some(({ item: id }) => {
    const item = layout.items.filter(isRidden).find(one => one.id === id)!;
    const near = straight.map(chain => nearestOnChain(chain, item.at).awayM);
    return Math.min(...near) < ridingWidthM(item) / 2 + ROOM_BESIDE_M;
  });
  return [
    ...(through ? [] : [straight]),
    ...sides.map(ways => {
      const all = [from, ...ways, to];
      return all.slice(1).map((way, i) => wayBetween(layout, track, all[i]!, way, -1));
    }),
  ];
}

/** A pair that passes beside something leaves at least so much room, metres. */
const ROOM_BESIDE_M = 0.7;

function onChains(chains: readonly Chain[], alongM: number): PointM {
  let leftM = Math.max(0, alongM);
  for (const chain of chains) {
    if (leftM <= chain.lengthM) return poseAt(chain, leftM).at;
    leftM -= chain.lengthM;
  }
  return chainEnd(chains[chains.length - 1]!).at;
}

/** How unlikely an error is that begins anywhere and wanders slowly, in units of a log likelihood. */
function errorCost(
  points: readonly TrackPoint[],
  at: (timeS: number) => PointM,
  { sdM, correlationS }: Pick<PositionNoise, 'sdM' | 'correlationS'>,
): number {
  let cost = 0;
  let before: { dx: number; dy: number; timeS: number } | null = null;
  for (const point of points) {
    const place = at(point.timeS);
    const [dx, dy] = [point.at.xM - place.xM, point.at.yM - place.yM];
    const keep = before ? Math.exp(-(point.timeS - before.timeS) / correlationS) : 0;
    const variance = sdM ** 2 * (1 - keep ** 2) + WANDER_M ** 2;
    cost += ((dx - keep * (before?.dx ?? 0)) ** 2 + (dy - keep * (before?.dy ?? 0)) ** 2) / (2 * variance);
    before = { dx, dy, timeS: point.timeS };
  }
  return cost;
}

function toldOf({ ridden }: Hypothesis, track: ItemTrack): MatchedTrack {
  const planned = track.through.map(({ item }) => item);
  const over = ridden.map(({ item }) => item.id);
  return {
    ridden: ridden.map(({ item, fromBehind, timeS }) => ({ item: item.id, fromBehind, timeS })),
    missed: planned.filter(id => !over.includes(id)),
    extra: over.filter(id => !planned.includes(id)),
  };
}
