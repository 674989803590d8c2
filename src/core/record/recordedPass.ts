import type { PointM } from '../geometry/pointM';
import { ridingPose } from '../items/footprint';
import { isRidden, type RiddenItem } from '../items/item';
import type { ItemTrack, Layout } from '../layout/layout';
import { matchTrack, type MatchedTrack } from './matchTrack';
import type { TappedMark } from './passMark';
import type { WanderingNoise } from './receiverError';
import type { RiddenStop, TrackPoint } from './simulatePass';
import type { Foot, FootLanding } from './simulateRide';
import type { RideDirection } from './rideDirection';
import { reversedTrack } from './reversedTrack';

/** What a recording of a ride comes to: what was ridden over, and strides where feet were recorded. */
export type RecordedPass = {
  match: MatchedTrack;
  /** Where the pair went, thinned. */
  path: PointM[];
  /** Legs of the track as drawn, from 1, with the strides that the feet put in. */
  strides: { place: number; count: number }[];
  marks: TappedMark[];
};

/**
 * Lays a recording over a layout. Which legs were ridden comes from the places; strides come from footfalls only, never
 * from places.
 * @param points - in order of time, on the sand; seconds from the same start as the footfalls
 * @param most - the path is thinned to so many places
 */
export function recordedPass(
  layout: Layout,
  track: ItemTrack,
  direction: RideDirection,
  { points, footfalls }: { points: readonly TrackPoint[]; footfalls: readonly FootLanding[] },
  noise: WanderingNoise,
  most: number,
): RecordedPass {
  const ridden = direction === 'other-way' ? reversedTrack(track) : track;
  const match = matchTrack(layout, ridden, points, noise);
  const path = thinned(points, most).map(({ at }) => at);
  const strides = stridesOfLegs(layout, track, match, footfalls, direction);
  const { missed, extra } = match;
  return {
    ...{ match, path, strides },
    marks: [
      ...strides.map(({ place, count }) => ({ kind: 'strides' as const, place, count })),
      { kind: 'track', path, ridden: match.ridden.map(({ item, timeS }) => ({ item, timeS })), missed, extra },
    ],
  };
}

function thinned<Value>(values: readonly Value[], most: number): Value[] {
  if (values.length <= most) return [...values];
  return Array.from({ length: most }, (_, i) => values[Math.round((i * (values.length - 1)) / (most - 1))]!);
}

/** How often one foot landed between one crossing and the next, for legs that the track has. */
function stridesOfLegs(
  layout: Layout,
  track: ItemTrack,
  { ridden }: MatchedTrack,
  footfalls: readonly FootLanding[],
  direction: RideDirection,
): { place: number; count: number }[] {
  const landings = countedFoot(footfalls);
  if (landings.length === 0) return [];
  const pauses = pausesOf(landings);
  const crossed = pausesCrossed(
    pauses,
    ridden.map(stop => pauseCosts(layout, stop, landings, pauses)),
  );
  return ridden.slice(0, -1).flatMap(({ stop }, index) => {
    const next = ridden[index + 1]!.stop;
    // A leg of the track lies between two stops that follow each other; ridden the other way they are numbered from its end.
    if (stop === null || next !== stop + 1) return [];
    const leg = direction === 'other-way' ? track.legs.length - 1 - stop : stop;
    return [{ place: leg + 1, count: crossed[index + 1]! - crossed[index]! }];
  });
}

/** The landings of the foot that landed most often, in order. */
function countedFoot(footfalls: readonly FootLanding[]): FootLanding[] {
  const byFoot = new Map<Foot, FootLanding[]>();
  for (const landing of footfalls) byFoot.set(landing.foot, [...(byFoot.get(landing.foot) ?? []), landing]);
  const [most] = [...byFoot.values()].sort((a, b) => b.length - a.length);
  return (most ?? []).sort((a, b) => a.timeS - b.timeS);
}

/** Between two landings of a foot: pause `index` comes before landing `index`; the first and last have one end only. */
type Pause = { middleS: number; lastsS: number };

function pausesOf(landings: readonly FootLanding[]): Pause[] {
  const times = landings.map(({ timeS }) => timeS);
  const between = times.slice(1).map((endS, i) => ({ middleS: (times[i]! + endS) / 2, lastsS: endS - times[i]! }));
  const sorted = between.map(({ lastsS }) => lastsS).sort((a, b) => a - b);
  const usualS = sorted[Math.floor(sorted.length / 2)] ?? 1;
  const end = (atS: number) => ({ middleS: atS, lastsS: usualS });
  return [end(times[0]! - usualS / 2), ...between, end(times[times.length - 1]! + usualS / 2)];
}

/** How far a receiver is off along the track, in time (one deviation), seconds. */
const ALONG_SD_S = 0.4;
/** How much a long pause speaks for a jump. */
const LONG_PAUSE = 6;
/** Feet whose places are known say on which side of something they landed; only near the time that it was crossed. */
const NEAR_S = 2;

/**
 * How little each pause speaks for having been the jump over something: far off in time, or short; where places are
 * known, the only one is that between a landing before it and a landing behind it.
 */
function pauseCosts(
  layout: Layout,
  { item: id, fromBehind, timeS }: RiddenStop,
  landings: readonly FootLanding[],
  pauses: readonly Pause[],
): number[] {
  const item = layout.items.find((one): one is RiddenItem => one.id === id && isRidden(one))!;
  const { at, headingRad } = ridingPose(item, fromBehind);
  const aheadM = landings.map(({ xM, yM }) =>
    xM === null || yM === null ? null : (xM - at.xM) * Math.cos(headingRad) + (yM - at.yM) * Math.sin(headingRad),
  );
  return pauses.map(({ middleS, lastsS }, index) => {
    const [before, after] = [aheadM[index - 1] ?? null, aheadM[index] ?? null];
    const between = (before === null || before < 0) && (after === null || after >= 0);
    if (!between || Math.abs(middleS - timeS) > NEAR_S + lastsS) return Infinity;
    return 0.5 * ((middleS - timeS) / ALONG_SD_S) ** 2 - LONG_PAUSE * Math.log(lastsS);
  });
}

/** The pause of each crossing: together the likeliest, never going back. Two in one pause have no stride between them. */
function pausesCrossed(pauses: readonly Pause[], costs: readonly (readonly number[])[]): number[] {
  let best = pauses.map(() => ({ cost: 0, way: [] as number[] }));
  for (const cost of costs) {
    let least = { cost: Infinity, way: [] as number[] };
    best = best.map((before, index) => {
      if (before.cost < least.cost || least.way.length === 0) least = before;
      return { cost: least.cost + Math.min(MOST_COST, cost[index]!), way: [...least.way, index] };
    });
  }
  return best.reduce((a, b) => (b.cost < a.cost ? b : a)).way;
}

/** Nothing is ruled out altogether. */
const MOST_COST = 1e6;
