import { chainEnd, nearestOnChain, poseAt, type Chain } from '../geometry/chain';
import { pointAlong, type PointM } from '../geometry/pointM';
import { ridingWidthM } from '../items/footprint';
import { isRidden, type RiddenItem } from '../items/item';
import type { ItemTrack, Layout } from '../layout/layout';
import type { WanderingNoise } from './receiverError';
import { wayBetween, wayPose, type RiddenWay, type TrackPoint } from './simulatePass';

/** A place where the recorded track crosses the line through an item the way it may be ridden. */
export type Crossing = { item: RiddenItem; fromBehind: boolean; timeS: number; asideM: number; leftRad: number };

/** What was ridden, and for each the place in the plan that it took; null for what the plan does not have there. */
export type RiddenStory = { ridden: Crossing[]; planned: (number | null)[] };

/** How far the way ridden may wander from the one reckoned, from point to point, metres. */
const WANDER_M = 0.15;
const MOST_MISSED_VARIANTS = 3;

/**
 * How unlikely the receiver's error would be if this were the story: the ways between what was ridden are reckoned, those
 * past what was missed on either side and straight on, ridden at one speed that suits all crossings, and what the points
 * are off is taken as a slowly wandering error.
 */
export function wayCost(
  layout: Layout,
  track: ItemTrack,
  { ridden, planned }: RiddenStory,
  points: readonly TrackPoint[],
  noise: WanderingNoise,
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
  noise: WanderingNoise,
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
  { sdM, correlationS }: WanderingNoise,
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
