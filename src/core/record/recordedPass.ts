import type { PointM } from '../geometry/pointM';
import type { ItemTrack, Layout } from '../layout/layout';
import { matchTrack, type MatchedTrack } from './matchTrack';
import type { TappedMark } from './passMark';
import type { WanderingNoise } from './receiverError';
import type { TrackPoint } from './simulatePass';
import type { Foot, FootLanding } from './simulateRide';
import type { RideDirection } from './passRecord';
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

/** A pause between two landings of one foot that is so much longer than usual is a jump. */
const JUMP_PAUSE = 1.5;
/** A jump belongs to a crossing within so many seconds of it: a receiver is a little off along the track too. */
const NEAR_S = 1.5;

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
  const ridden = direction === 'as-drawn' ? track : reversedTrack(track);
  const match = matchTrack(layout, ridden, points, noise);
  const path = thinned(points, most).map(({ at }) => at);
  const strides = stridesOfLegs(track, match, footfalls, direction);
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
  track: ItemTrack,
  { ridden }: MatchedTrack,
  footfalls: readonly FootLanding[],
  direction: RideDirection,
): { place: number; count: number }[] {
  const landings = countedFoot(footfalls);
  if (landings.length === 0) return [];
  const order = track.through.map(({ item }) => item);
  const bounds = ridden.map(({ timeS }) => jumpNear(landings, timeS));
  let from = 0;
  return ridden.slice(0, -1).flatMap(({ item }, index) => {
    const next = ridden[index + 1]!.item;
    const [first, second] = direction === 'as-drawn' ? [item, next] : [next, item];
    const legs = order.slice(0, -1).map((id, leg) => (id === first && order[leg + 1] === second ? leg : -1));
    const leg = direction === 'as-drawn' ? legs.find(one => one >= from) : legs.findLast(one => one >= 0);
    if (leg === undefined || leg < 0) return [];
    if (direction === 'as-drawn') from = leg + 1;
    const count = landings.filter(timeS => timeS > bounds[index]! && timeS < bounds[index + 1]!).length;
    return [{ place: leg + 1, count }];
  });
}

/** When the foot that landed most often landed. */
function countedFoot(footfalls: readonly FootLanding[]): number[] {
  const times = new Map<Foot, number[]>();
  for (const { foot, timeS } of footfalls) times.set(foot, [...(times.get(foot) ?? []), timeS]);
  const [most] = [...times.values()].sort((a, b) => b.length - a.length);
  return (most ?? []).sort((a, b) => a - b);
}

/** The jump that a crossing was: the pause of the foot nearest to it, or the crossing itself where there is none. */
function jumpNear(landings: readonly number[], timeS: number): number {
  const pauses = landings
    .slice(1)
    .map((end, index) => ({ middleS: (landings[index]! + end) / 2, lastsS: end - landings[index]! }));
  const sorted = pauses.map(({ lastsS }) => lastsS).sort((a, b) => a - b);
  const usualS = sorted[Math.floor(sorted.length / 2)] ?? 0;
  const jumps = pauses.filter(
    ({ middleS, lastsS }) => lastsS > JUMP_PAUSE * usualS && Math.abs(middleS - timeS) <= NEAR_S,
  );
  const nearest = jumps.sort((a, b) => Math.abs(a.middleS - timeS) - Math.abs(b.middleS - timeS))[0];
  return nearest?.middleS ?? timeS;
}
