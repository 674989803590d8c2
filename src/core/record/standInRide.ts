import { mayRideFromBehind } from '../items/footprint';
import { isRidden } from '../items/item';
import type { FigureTrack, ItemTrack, Layout, LayoutHorse } from '../layout/layout';
import { seededNormal } from '../statistics/seededRandom';
import type { Rein } from '../track/rein';
import { FIGURE_POINTS, type TappedMark } from './passMark';
import type { RideDirection } from './passRecord';
import { reversedTrack } from './reversedTrack';
import { simulatePass, USUAL_NOISE, type PassMistakes, type SimulatedPass } from './simulatePass';
import { standInMarks, type StandInManner } from './standInMarks';

export type StandInWish = {
  rein: Rein;
  direction: RideDirection;
  manner: StandInManner;
  mistakes: PassMistakes;
};

/** A ride of the stand-in: what somebody who watches marks, and what a receiver and sensors record of it. */
export type StandInRide = { marks: TappedMark[]; recording: SimulatedPass | null };

/** How often a stand-in runs out of something, or rides something else instead. */
export const USUAL_MISTAKES: PassMistakes = { missing: 0.02, wrong: 0 };

/** The track that is marked: the first over poles and fences; null on the flat. */
export function markedTrack({ tracks }: Pick<Layout, 'tracks'>): ItemTrack | null {
  return tracks.find((track): track is ItemTrack => track.kind === 'items') ?? null;
}

/** Whether everything on a track may be ridden from both sides. */
export function goesBothWays(layout: Pick<Layout, 'items'>, { through }: ItemTrack): boolean {
  return through.every(({ item: id }) =>
    layout.items.some(item => item.id === id && isRidden(item) && mayRideFromBehind(item)),
  );
}

/**
 * A stand-in pair rides a layout once. Places are numbered as on the plan, whichever way it goes.
 * @param random - a generator of numbers in [0, 1): the same seed rides the same way
 */
export function standInRide(
  layout: Layout,
  horse: LayoutHorse,
  { rein, direction, manner, mistakes }: StandInWish,
  random: () => number,
): StandInRide {
  const track = markedTrack(layout);
  if (!track || track.through.length < 2) {
    const figures = layout.tracks.find((one): one is FigureTrack => one.kind === 'figures');
    return { marks: figureMarks(figures?.figures.length ?? 0, rein, manner, random), recording: null };
  }
  const ridden = direction === 'as-drawn' ? track : reversedTrack(track);
  const recording = simulatePass(layout, ridden, horse, mistakes, USUAL_NOISE, random);
  const marks = standInMarks(layout, ridden, horse, recording, rein, manner, random);
  return { marks: direction === 'as-drawn' ? marks : marks.map(mark => numberedAsDrawn(mark, track)), recording };
}

function numberedAsDrawn(mark: TappedMark, { through }: ItemTrack): TappedMark {
  if (!('place' in mark) || mark.place === null) return mark;
  const isLeg = mark.kind === 'strides' || mark.kind === 'footfall';
  return { ...mark, place: (isLeg ? through.length : through.length + 1) - mark.place };
}

/** On the flat: what of each figure was kept, and how good it was. */
function figureMarks(figures: number, rein: Rein, manner: StandInManner, random: () => number): TappedMark[] {
  const times = manner.worseRein?.rein === rein ? manner.worseRein.times : 1;
  const lost = Array.from({ length: figures }, (_, index) =>
    FIGURE_POINTS.filter(() => random() < Math.min(0.9, manner.mishap * 2 * times)).map(point => ({
      ...{ kind: 'figure' as const, place: index + 1, point, kept: false },
    })),
  ).flat();
  const value = Math.round(manner.quality + 0.6 * seededNormal(random) - 0.3 * lost.length);
  return [...lost, { kind: 'quality', value: Math.min(5, Math.max(1, value)) }];
}
