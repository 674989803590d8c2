import { isRidden, type RiddenItem } from '../items/item';
import { mayRideFromBehind, ridingPose, ridingWidthM } from '../items/footprint';
import type { ItemTrack, Layout } from '../layout/layout';
import type { PositionNoise, RiddenStop, TrackPoint } from './simulatePass';

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
const P_EXTRA = 0.005;
/** Two crossings of one line the same way within this are one, smeared by noise, seconds. */
const SAME_CROSSING_S = 1.2;
const MOST_HYPOTHESES = 60;

/** A place where the recorded track crosses the line through an item the way it may be ridden. */
type Crossing = { item: RiddenItem; fromBehind: boolean; timeS: number; asideM: number; leftRad: number };

/** What may have happened so far: what was ridden, where in the plan it is, and how far off the receiver is thought. */
type Hypothesis = { cost: number; next: number; ridden: Crossing[]; extra: number; error: ErrorState };
type ErrorState = { timeS: number; dx: number; dy: number; vxx: number; vxy: number; vyy: number };

/**
 * Lays a recorded track over a layout: which items were ridden over, in which order. Each crossing of the line through an
 * item was over it, or beside it, or has nothing to do with it; the receiver's error, which wanders slowly, is reckoned
 * along (a Kalman filter in each hypothesis), so that a whole track that is two metres off still fits. The likeliest
 * story wins; how it differs from the plan is told.
 * @param points - in order of time, in the arena's own coordinates
 */
export function matchTrack(
  layout: Pick<Layout, 'items'>,
  track: ItemTrack,
  points: readonly TrackPoint[],
  noise: Pick<PositionNoise, 'sdM' | 'correlationS'>,
): MatchedTrack {
  const crossings = layout.items
    .filter(isRidden)
    .flatMap(item => crossingsOf(item, points, noise.sdM))
    .sort((a, b) => a.timeS - b.timeS);
  const start: Hypothesis = {
    ...{ cost: 0, next: 0, ridden: [], extra: 0 },
    error: { timeS: 0, dx: 0, dy: 0, vxx: noise.sdM ** 2, vxy: 0, vyy: noise.sdM ** 2 },
  };
  let hypotheses = [start];
  for (const crossing of crossings)
    hypotheses = best(hypotheses.flatMap(hypothesis => continued(hypothesis, crossing, track, noise)));
  const left = ({ next }: Hypothesis) => track.through.length - next;
  const winner = hypotheses.reduce((a, b) =>
    b.cost - left(b) * Math.log(P_MISSED) < a.cost - left(a) * Math.log(P_MISSED) ? b : a,
  );
  return toldOf(winner, track);
}

function best(hypotheses: Hypothesis[]): Hypothesis[] {
  const unique = new Map<string, Hypothesis>();
  for (const hypothesis of hypotheses) {
    const last = hypothesis.ridden[hypothesis.ridden.length - 1];
    const key = `${hypothesis.next} ${hypothesis.extra} ${last?.item.id} ${last?.timeS}`;
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
  const over = (next: number, cost: number, extra: number): Hypothesis => ({
    ...{ next, extra, cost: before.cost + overCost + cost },
    ridden: [...before.ridden, crossing],
    error: corrected(error, crossing.leftRad, crossing.asideM),
  });
  // Over the next of the plan, or over a later one, the ones between missed.
  for (let skipped = 0; skipped < 4 && before.next + skipped < track.through.length; skipped += 1) {
    const stop = track.through[before.next + skipped]!;
    if (stop.item !== crossing.item.id || stop.reversed !== crossing.fromBehind) continue;
    stories.push(over(before.next + skipped + 1, -skipped * Math.log(P_MISSED), before.extra));
    break;
  }
  // Over something that the plan does not have here.
  if (before.next > 0 && before.next < track.through.length)
    stories.push(over(before.next, -Math.log(P_EXTRA), before.extra + 1));
  return stories;
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

function toldOf({ ridden }: Hypothesis, track: ItemTrack): MatchedTrack {
  const planned = track.through.map(({ item }) => item);
  const over = ridden.map(({ item }) => item.id);
  return {
    ridden: ridden.map(({ item, fromBehind, timeS }) => ({ item: item.id, fromBehind, timeS })),
    missed: planned.filter(id => !over.includes(id)),
    extra: over.filter(id => !planned.includes(id)),
  };
}
