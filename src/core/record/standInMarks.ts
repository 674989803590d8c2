import { isRaised } from '../items/pole';
import type { ItemTrack, Layout, LayoutHorse } from '../layout/layout';
import { countedGroundM, distanceCaseOf, reckonItemTrack } from '../layout/reckonLayout';
import { layoutStride, settingAt } from '../layout/layoutStrides';
import { readCount } from '../stride/readDistance';
import { seededNormal } from '../statistics/seededRandom';
import type { Rein } from '../track/rein';
import { distanceM, type PointM } from '../geometry/pointM';
import type { TrackGait } from '../layout/trackGait';
import type { SLIPS, TappedMark } from './passMark';
import type { SimulatedPass } from './simulatePass';

/** How a stand-in pair rides, beside its strides. Chances are for each fence or pole. */
export type StandInManner = {
  /** A rail down or a pole hit where nothing else is the matter. */
  mishap: number;
  /** Its worse rein, and how many times as many mishaps it has there. */
  worseRein: { rein: Rein; times: number } | null;
  /** A place on the sand where more goes wrong, and how often it does. */
  badPlace: { at: PointM; radiusM: number; chance: number } | null;
  /** What it slips away from in sideways work, and how often; null where it does so as any other. */
  slip?: { from: (typeof SLIPS)[number]; chance: number } | null;
  /** How a gaited horse goes; null or left out for one that keeps its gaits as any other. */
  gaits?: GaitManner | null;
  /** What its passes are worth on average, 1 to 5. */
  quality: number;
};

/** Where and into what a gait slips, and how often there and elsewhere; how often its head is high; what it canters out of. */
export type GaitManner = {
  slip: { at: PointM; radiusM: number; into: TrackGait; chance: number; elsewhere: number };
  headHigh: Partial<Record<TrackGait, number>>;
  promptCanter: Partial<Record<TrackGait, number>>;
};

export const USUAL_MANNER: StandInManner = { mishap: 0.05, worseRein: null, badPlace: null, quality: 3.4 };

/** Common practice, no source: beyond these shares of the normal stride a horse gets deep, or stands off. */
const DEEP_BELOW = 0.9;
const LONG_ABOVE = 1.1;
const QUALITY_SD = 0.6;

/**
 * What somebody who watches would mark of a simulated pass: strides, take-offs, rails, leads, what was run out of, where
 * the foot fell between poles, and how good it was.
 * @param random - a generator of numbers in [0, 1)
 */
export function standInMarks(
  layout: Layout,
  track: ItemTrack,
  horse: LayoutHorse,
  pass: SimulatedPass,
  rein: Rein | null,
  manner: StandInManner,
  random: () => number,
): TappedMark[] {
  const times = manner.worseRein?.rein === rein ? manner.worseRein.times : 1;
  const marks: TappedMark[] = [
    ...lineMarks(layout, track, horse, pass, random),
    ...track.through.flatMap(({ item: id }, index) => {
      const item = layout.items.find(one => one.id === id)!;
      const place = index + 1;
      if (!pass.ridden.some(({ stop }) => stop === index))
        return [
          {
            kind: 'fence' as const,
            place,
            outcome: random() < 0.5 ? ('run-out left' as const) : ('run-out right' as const),
          },
        ];
      const bad = manner.badPlace && distanceM(item.at, manner.badPlace.at) <= manner.badPlace.radiusM;
      const goesWrong = random() < Math.min(0.9, (bad ? manner.badPlace!.chance : manner.mishap) * times);
      const spot = bad && goesWrong ? [{ kind: 'spot' as const, at: item.at }] : [];
      if (item.kind === 'pole') {
        const raisedTimes = isRaised(item.raised) ? 1.5 : 1;
        return goesWrong || random() < manner.mishap * (raisedTimes - 1)
          ? [{ kind: 'hit' as const, place }, ...spot]
          : [];
      }
      return [...fenceMarks(place, goesWrong, random), ...spot, ...leadMark(place, rein, times, random)];
    }),
  ];
  const troubles = marks.filter(
    mark => mark.kind === 'hit' || (mark.kind === 'fence' && mark.outcome !== 'rub'),
  ).length;
  const value = Math.round(manner.quality + QUALITY_SD * seededNormal(random) - 0.5 * troubles - 0.3 * (times - 1));
  return [...marks, { kind: 'quality', value: Math.min(5, Math.max(1, value)) }];
}

function fenceMarks(place: number, goesWrong: boolean, random: () => number): TappedMark[] {
  if (goesWrong) return [{ kind: 'fence', place, outcome: random() < 0.75 ? 'down' : 'refusal' }];
  return random() < 0.08 ? [{ kind: 'fence', place, outcome: 'rub' }] : [];
}

/** A horse lands on the lead of the rein it is ridden on, but for now and then, more often on its worse one. */
function leadMark(place: number, rein: Rein | null, times: number, random: () => number): TappedMark[] {
  if (rein === null) return [];
  const other: Rein = rein === 'left' ? 'right' : 'left';
  const wrong = random() < 0.15 * times;
  return [{ kind: 'lead', place, lead: wrong ? other : rein }];
}

/** The strides of each leg, and what they say of the take-off; between poles, where the foot fell. */
function lineMarks(
  layout: Layout,
  track: ItemTrack,
  horse: LayoutHorse,
  pass: SimulatedPass,
  random: () => number,
): TappedMark[] {
  const legs = reckonItemTrack(layout, track).legs;
  const entry = 0.5 + 0.05 * seededNormal(random);
  let gap = 0;
  return legs.flatMap((leg, index): TappedMark[] => {
    // By its two stops: a fence that is ridden twice has a leg of its own each time.
    const at = pass.ridden.findIndex(({ stop }) => stop === index);
    const wasRidden = at >= 0 && pass.ridden[at + 1]?.stop === index + 1 && pass.strides[at] !== undefined;
    const planned = track.legs[index]!;
    const stride = layoutStride(horse, track.gait, settingAt(track.gait, planned));
    if (!wasRidden || !stride) return [];
    const count = pass.strides[at]!;
    const place = index + 1;
    const betweenPoles = [leg.from, leg.to].every(id => layout.items.find(one => one.id === id)?.kind === 'pole');
    if (betweenPoles && count === 0) {
      const fraction = entry + gap * (stride.normalM / leg.groundM - 1) + 0.03 * seededNormal(random);
      gap += 1;
      return [{ kind: 'footfall', place, fraction: Math.round(Math.min(0.95, Math.max(0.05, fraction)) * 20) / 20 }];
    }
    const q = readCount(countedGroundM(leg), count, distanceCaseOf(layout, track, index), stride)?.q ?? 1;
    const where = q < DEEP_BELOW ? ('deep' as const) : q > LONG_ABOVE ? ('long' as const) : null;
    const takeOff: TappedMark[] =
      where && random() < 0.35 && !betweenPoles ? [{ kind: 'take-off', place: place + 1, where }] : [];
    return [{ kind: 'strides', place, count }, ...takeOff];
  });
}
