import type { ItemTrack, Layout, LayoutHorse } from '../layout/layout';
import { seededNormal } from '../statistics/seededRandom';
import type { Rein } from '../track/rein';
import { FIGURE_POINTS, type TappedMark } from './passMark';
import type { RideDirection } from './rideDirection';
import { reversedTrack } from './reversedTrack';
import { simulatePass, USUAL_NOISE, type PassMistakes, type SimulatedPass } from './simulatePass';
import { standInMarks, type StandInManner } from './standInMarks';

export type StandInWish = {
  /** Null where the track changes the rein. */
  rein: Rein | null;
  direction: RideDirection;
  manner: StandInManner;
  mistakes: PassMistakes;
};

/** A ride of the stand-in: what somebody who watches marks, and what a receiver and sensors record of it. */
export type StandInRide = { marks: TappedMark[]; recording: SimulatedPass | null };

/** How often a stand-in runs out of something, or rides something else instead. */
export const USUAL_MISTAKES: PassMistakes = { missing: 0.02, wrong: 0 };

/**
 * A stand-in pair rides the one track of an asked layout once. Places are numbered as drawn, whichever way it goes.
 * @param asked - as drawn, or the mirror image where that is ridden
 * @param random - a generator of numbers in [0, 1): the same seed rides the same way
 */
export function standInRide(
  asked: Layout,
  horse: LayoutHorse,
  { rein, direction, manner, mistakes }: StandInWish,
  random: () => number,
): StandInRide {
  const track = asked.tracks[0];
  if (track?.kind !== 'items' || track.through.length < 2) {
    const figures = track?.kind === 'figures' ? track.figures.length : 0;
    return { marks: figureMarks(figures, rein, manner, random), recording: null };
  }
  const ridden = direction === 'other-way' ? reversedTrack(track) : track;
  const recording = simulatePass(asked, ridden, horse, mistakes, USUAL_NOISE, random);
  const marks = standInMarks(asked, ridden, horse, recording, rein, manner, random);
  return { marks: direction === 'other-way' ? marks.map(mark => numberedAsDrawn(mark, track)) : marks, recording };
}

function numberedAsDrawn(mark: TappedMark, { through }: ItemTrack): TappedMark {
  if (!('place' in mark) || mark.place === null) return mark;
  const isLeg = mark.kind === 'strides' || mark.kind === 'footfall';
  return { ...mark, place: (isLeg ? through.length : through.length + 1) - mark.place };
}

/** On the flat: what of each figure was kept, and how good it was. */
function figureMarks(figures: number, rein: Rein | null, manner: StandInManner, random: () => number): TappedMark[] {
  const times = manner.worseRein?.rein === rein ? manner.worseRein.times : 1;
  const lost = Array.from({ length: figures }, (_, index) =>
    FIGURE_POINTS.filter(() => random() < Math.min(0.9, manner.mishap * 2 * times)).map(point => ({
      ...{ kind: 'figure' as const, place: index + 1, point, kept: false },
    })),
  ).flat();
  const value = Math.round(manner.quality + 0.6 * seededNormal(random) - 0.3 * lost.length);
  return [...lost, { kind: 'quality', value: Math.min(5, Math.max(1, value)) }];
}
