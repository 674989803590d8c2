import { chainOf, joinChains, poseAt, type Chain } from '../geometry/chain';
import { pointAlong, type PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import { gaitSpeedMPerMin } from '../figures/gaitSpeed';
import { isRidden, type RiddenItem } from '../items/item';
import { ridingDepthM, ridingPose, ridingWidthM } from '../items/footprint';
import { DEFAULT_LEG, type ItemTrack, type Layout, type LayoutHorse } from '../layout/layout';
import { distanceCaseOf, fittingTurnM, hasPoledGap } from '../layout/reckonLayout';
import { layoutStride, settingAt } from '../layout/layoutStrides';
import { readDistance, USUAL_SPREAD } from '../stride/readDistance';
import { seededNormal } from '../statistics/seededRandom';
import { gaitRadiusM } from '../track/gaitRadius';
import { groundCost } from '../track/turnCost';
import { legTrack, measureLeg, type LegGround } from '../track/leg';
import type { FootLanding } from './simulateRide';

/** Where a pair was at a time: seconds from the start of the recording. */
export type TrackPoint = { timeS: number; at: PointM };

/**
 * Something that was ridden over, and when its middle was crossed. `stop`: which stop of the track it was, from 0, since a
 * fence may be ridden twice; null for what the track does not have there.
 */
export type RiddenStop = { item: string; fromBehind: boolean; timeS: number; stop: number | null };

export type PassMistakes = {
  /** How likely something is run out of, and something else is ridden instead, each time. */
  missing: number;
  wrong: number;
};

export type SimulatedPass = {
  points: TrackPoint[];
  /** Places are on the sand. Between two things that are ridden over, each stride lands every foot once. */
  footfalls: FootLanding[];
  /** What really happened: what was ridden over in order, and the strides between. */
  ridden: RiddenStop[];
  strides: number[];
};

/** Position noise: so far off, metres (one axis), and how long it stays so, seconds. */
export type PositionNoise = { sdM: number; correlationS: number; hz: number };
export const USUAL_NOISE: PositionNoise = { sdM: 1.5, correlationS: 10, hz: 5 };

const RUN_IN_M = 12;
/** How far beside its end a pair passes something that it runs out of (common practice, no source). */
const RUN_OUT_BESIDE_M = 2.5;
/** How often a count that was asked is not ridden: the horse then goes its own. */
const MISSES_ASKED = 0.2;

/**
 * A stand-in rider: a pair rides a track of a layout once, with the strides that the horse has and a mistake now and then.
 * The same seed rides the same way.
 * @param random - a generator of numbers in [0, 1)
 * @throws {RangeError} a track over fewer than two items
 */
export function simulatePass(
  layout: Layout,
  track: ItemTrack,
  horse: LayoutHorse,
  mistakes: PassMistakes,
  noise: PositionNoise,
  random: () => number,
): SimulatedPass {
  if (track.through.length < 2) throw new RangeError(`simulatePass: “${track.id}” goes over fewer than two items`);
  const stops = stopsRidden(layout, track, mistakes, random);
  const { chain, stopsAtM } = rideOf(layout, track, stops);
  const speedMPerS = gaitSpeedMPerMin(track.gait) / 60;
  const ridden = stops.flatMap((stop, index) =>
    stop.beside === null
      ? [
          {
            ...{ item: stop.item.id, fromBehind: stop.reversed, timeS: stopsAtM[index]! / speedMPerS },
            stop: stop.instead ? null : index,
          },
        ]
      : [],
  );
  const strides: number[] = [];
  const footfalls: FootLanding[] = [];
  const over = stops.flatMap(({ beside }, index) => (beside === null ? [index] : []));
  for (const [at, index] of over.slice(0, -1).entries()) {
    const next = over[at + 1]!;
    const count = countRidden(layout, track, stops, [index, next], horse, random);
    strides.push(count);
    footfalls.push(...strideFalls(chain, [stopsAtM[index]!, stopsAtM[next]!], count, speedMPerS));
  }
  return { points: noisyTrack(chain, speedMPerS, noise, random), footfalls, ridden, strides };
}

/** An item as a pair rides it; `beside`: passed on this side instead of over it. */
export type RiddenWay = { item: RiddenItem; reversed: boolean; beside: 'left' | 'right' | null };

/** `instead`: something else than the track has there. */
type StopRidden = RiddenWay & { instead: boolean };

/** What is ridden in fact: the first and the last always, between them a mistake now and then. */
function stopsRidden(layout: Layout, track: ItemTrack, mistakes: PassMistakes, random: () => number): StopRidden[] {
  const ridden = layout.items.filter(isRidden);
  return track.through.map(({ item: id, reversed }, index) => {
    const item = ridden.find(one => one.id === id)!;
    const isInner = index > 0 && index < track.through.length - 1;
    const lot = random();
    const side = random() < 0.5 ? 'left' : 'right';
    if (!isInner) return { item, reversed, beside: null, instead: false };
    if (lot < mistakes.missing) return { item, reversed, beside: side, instead: false };
    if (lot < mistakes.missing + mistakes.wrong) {
      const about = [track.through[index - 1]!.item, id, track.through[index + 1]!.item];
      const others = ridden.filter(other => !about.includes(other.id));
      const other = others[Math.floor(random() * others.length)];
      if (other) return { item: other, reversed: false, beside: null, instead: true };
    }
    return { item, reversed, beside: null, instead: false };
  });
}

/** The whole way, with a run-in before the first and a run-out behind the last; and where along it each stop is. */
function rideOf(layout: Layout, track: ItemTrack, stops: readonly RiddenWay[]): { chain: Chain; stopsAtM: number[] } {
  const first = wayPose(stops[0]!);
  const last = wayPose(stops[stops.length - 1]!);
  const begin: Pose = { at: pointAlong(first.at, first.headingRad, -RUN_IN_M), headingRad: first.headingRad };
  const legs = stops.slice(1).map((to, leg) => wayBetween(layout, track, stops[leg]!, to, leg));
  const stopsAtM = [RUN_IN_M];
  for (const { lengthM } of legs) stopsAtM.push(stopsAtM[stopsAtM.length - 1]! + lengthM);
  const runIn = chainOf(begin, [{ kind: 'straight', lengthM: RUN_IN_M }]);
  const runOut = chainOf(last, [{ kind: 'straight', lengthM: RUN_IN_M }]);
  return { chain: joinChains([runIn, ...legs, runOut]), stopsAtM };
}

/**
 * The track from one to the next as a pair rides it: as planned where it is the planned leg, else the natural one.
 * @param leg - which leg of the plan it would be
 */
export function wayBetween(layout: Layout, track: ItemTrack, from: RiddenWay, to: RiddenWay, leg: number): Chain {
  const ground = groundOf(layout, track);
  const planned = from.beside === null && to.beside === null ? track.legs[leg] : undefined;
  const isPlanned = planned && track.through[leg + 1]?.item === to.item.id && track.through[leg]?.item === from.item.id;
  const way = legTrack(shifted(from), shifted(to), isPlanned ? planned : freeLeg(from, to), ground);
  if (!way.ok) throw new RangeError(`wayBetween: no way from “${from.item.id}” to “${to.item.id}”`);
  return way.chain;
}

/** Common practice, no source: 12 ft, which only wide lines look at. */
const USUAL_STRIDE_M = 3.66;

function groundOf({ arena }: Layout, { gait }: ItemTrack): LegGround {
  return { arena, smallestRadiusM: gaitRadiusM(gait), strideM: USUAL_STRIDE_M };
}

function freeLeg(from: RiddenWay, to: RiddenWay) {
  return { ...DEFAULT_LEG, circle: from.item.id === to.item.id ? { rein: 'left' as const, radiusM: 10 } : null };
}

/** An item that is passed beside is ridden as if it stood where the pair goes. */
function shifted({ item, reversed, beside }: RiddenWay): { item: RiddenItem; reversed: boolean } {
  if (beside === null) return { item, reversed };
  const { at, headingRad } = wayPose({ item, reversed, beside });
  return { item: { ...item, at, headingRad: headingRad + (reversed ? Math.PI : 0) }, reversed };
}

/** Where a pair goes at an item, and which way. */
export function wayPose({ item, reversed, beside }: RiddenWay): Pose {
  const pose = ridingPose(item, reversed);
  if (beside === null) return pose;
  const side = beside === 'left' ? 1 : -1;
  const asideM = ridingWidthM(item) / 2 + RUN_OUT_BESIDE_M;
  return { ...pose, at: pointAlong(pose.at, pose.headingRad + (side * Math.PI) / 2, asideM) };
}

/** The strides from one stop that was ridden over to the next: along the planned leg where they follow each other. */
function countRidden(
  layout: Layout,
  track: ItemTrack,
  stops: readonly RiddenWay[],
  [at, next]: readonly [number, number],
  horse: LayoutHorse,
  random: () => number,
): number {
  const planned = track.legs[at]!;
  const [from, to] = [stops[at]!, stops[next]!];
  const isPlanned = next === at + 1;
  const stride = layoutStride(horse, track.gait, settingAt(track.gait, planned));
  if (!stride) return 1;
  const way = isPlanned ? wayBetween(layout, track, from, to, at) : freeWay(layout, track, from, to);
  if (!way) return 1;
  // Over a pole in a gap the strides are those of the whole gap, from the fence before.
  const hasGap = isPlanned && hasPoledGap(layout, track, at);
  const start = hasGap ? stops[at - 1]! : from;
  const chain = hasGap ? joinChains([wayBetween(layout, track, start, from, at - 1), way]) : way;
  const { groundM } = measureLeg(start.item, to.item, chain);
  const { countedM } = groundCost(chain, ridingDepthM(start.item) / 2, groundM, fittingTurnM(layout, track.gait));
  const distance = { ...distanceCaseOf(layout, track, at), from: start.item, to: to.item };
  const spread = stride.spread ?? USUAL_SPREAD;
  const onTheDay = { ...stride, normalM: stride.normalM * Math.max(0.7, 1 + spread * seededNormal(random)) };
  const itself = Math.max(0, Math.round(readDistance(countedM, distance, onTheDay).evenCount));
  if (!isPlanned || planned.asked === null || random() < MISSES_ASKED) return itself;
  return planned.asked;
}

function freeWay(layout: Layout, track: ItemTrack, from: RiddenWay, to: RiddenWay): Chain | null {
  const way = legTrack(from, to, freeLeg(from, to), groundOf(layout, track));
  return way.ok ? way.chain : null;
}

const FEET_IN_STRIDE = [
  { foot: 'RH', at: 0 },
  { foot: 'LH', at: 0.22 },
  { foot: 'RF', at: 0.22 },
  { foot: 'LF', at: 0.45 },
] as const;

/** Every foot lands once a stride, the strides spread evenly between landing and take-off. */
function strideFalls(chain: Chain, [fromM, toM]: [number, number], count: number, speedMPerS: number): FootLanding[] {
  const partM = (toM - fromM) / (count + 1);
  return Array.from({ length: count }, (_, stride) =>
    FEET_IN_STRIDE.map(({ foot, at }) => {
      const alongM = fromM + partM * (stride + 0.5 + at);
      const pose = poseAt(chain, alongM);
      const side = foot.startsWith('L') ? 1 : -1;
      const place = pointAlong(pose.at, pose.headingRad + (side * Math.PI) / 2, 0.15);
      return { timeS: alongM / speedMPerS, foot, xM: place.xM, yM: place.yM };
    }),
  ).flat();
}

/** Places as a receiver says them: off by a wandering error (first-order Gauss-Markov on each axis). */
function noisyTrack(chain: Chain, speedMPerS: number, { sdM, correlationS, hz }: PositionNoise, random: () => number) {
  const points: TrackPoint[] = [];
  const keep = Math.exp(-1 / (hz * correlationS));
  const fresh = sdM * Math.sqrt(1 - keep ** 2);
  let [dx, dy] = [sdM * seededNormal(random), sdM * seededNormal(random)];
  const durationS = chain.lengthM / speedMPerS;
  for (let timeS = 0; timeS <= durationS; timeS += 1 / hz) {
    const { at } = poseAt(chain, Math.min(chain.lengthM, timeS * speedMPerS));
    points.push({ timeS, at: { xM: at.xM + dx, yM: at.yM + dy } });
    dx = keep * dx + fresh * seededNormal(random);
    dy = keep * dy + fresh * seededNormal(random);
  }
  return points;
}
