import { mayRideFromBehind, ridingPose, ridingWidthM } from '../items/footprint';
import { isRidden, type RiddenItem } from '../items/item';
import type { ItemTrack, Layout } from '../layout/layout';
import {
  AIM_SD_M,
  corrected,
  drifted,
  errorAlong,
  unknownError,
  type ErrorState,
  type WanderingNoise,
} from './receiverError';
import type { RiddenStop, TrackPoint } from './simulatePass';
import { wayCost, type Crossing, type RiddenStory } from './wayCost';

/** A track laid over a layout: what was ridden over, in order. Legs are between one and the next. */
export type MatchedTrack = { ridden: RiddenStop[]; missed: string[]; extra: string[] };

/** Crossings farther off than so many deviations of the noise from an item's end are not of it. */
const REACH_SD = 4;
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

/** What may have happened so far: what was ridden, where in the plan it is, and how far off the receiver is thought. */
type Hypothesis = RiddenStory & {
  cost: number;
  /** The part of the cost that was there before anything was recorded. */
  prior: number;
  next: number;
  extra: number;
  error: ErrorState;
};

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
  noise: WanderingNoise,
): MatchedTrack {
  const crossings = layout.items
    .filter(isRidden)
    .flatMap(item => crossingsOf(item, points, noise.sdM))
    .sort((a, b) => a.timeS - b.timeS);
  const start: Hypothesis = {
    ...{ cost: 0, prior: 0, next: 0, ridden: [], planned: [], extra: 0 },
    error: unknownError(noise),
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
function continued(before: Hypothesis, crossing: Crossing, track: ItemTrack, noise: WanderingNoise): Hypothesis[] {
  const error = drifted(before.error, crossing.timeS, noise);
  const { meanM, sdM } = errorAlong(error, crossing.leftRad);
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

function toldOf({ ridden, planned }: Hypothesis, track: ItemTrack): MatchedTrack {
  const there = new Set(track.through.map(({ item }) => item));
  return {
    ridden: ridden.map(({ item, fromBehind, timeS }, index) => ({
      ...{ item: item.id, fromBehind, timeS, stop: planned[index] ?? null },
    })),
    // A fence that is ridden twice may be missed once.
    missed: track.through.flatMap(({ item }, stop) => (planned.includes(stop) ? [] : [item])),
    extra: ridden.flatMap(({ item }) => (there.has(item.id) ? [] : [item.id])),
  };
}
