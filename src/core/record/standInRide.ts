import type { PlannedFigure } from '../figures/figure';
import { rideFigure } from '../figures/rideFigure';
import { poseAt, type Chain } from '../geometry/chain';
import { distanceM, type PointM } from '../geometry/pointM';
import type { FigureTrack, ItemTrack, Layout, LayoutHorse } from '../layout/layout';
import { seededNormal } from '../statistics/seededRandom';
import type { Rein } from '../track/rein';
import { FIGURE_POINTS, SLIPS, type TappedMark } from './passMark';
import type { RideDirection } from './rideDirection';
import { gaitMarks } from './standInGaits';
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
    return {
      marks: track?.kind === 'figures' ? flatMarks(asked, track, rein, manner, random) : justQuality(manner, random),
      recording: null,
    };
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

/** On the flat: what of each figure was kept, what it slipped from where it went aside, and how good it was. */
function flatMarks(
  asked: Layout,
  track: FigureTrack,
  rein: Rein | null,
  manner: StandInManner,
  random: () => number,
): TappedMark[] {
  const times = manner.worseRein?.rein === rein ? manner.worseRein.times : 1;
  const lost = track.figures.flatMap((_, index) =>
    FIGURE_POINTS.filter(() => random() < Math.min(0.9, manner.mishap * 2 * times)).map(point => ({
      ...{ kind: 'figure' as const, place: index + 1, point, kept: false },
    })),
  );
  const gaits = manner.gaits ? gaitMarks(asked, track, manner.gaits, random) : [];
  const aside = [...slipMarks(asked, track, manner, random), ...spotMarks(asked, track, manner, random)];
  return [...lost, ...aside, ...gaits, ...justQuality(manner, random, lost.length + aside.length)];
}

function justQuality(manner: StandInManner, random: () => number, troubles = 0): TappedMark[] {
  const value = Math.round(manner.quality + 0.6 * seededNormal(random) - 0.3 * troubles);
  return [{ kind: 'quality', value: Math.min(5, Math.max(1, value)) }];
}

/** What is only ridden straight or round slips nowhere. */
function slipMarks(asked: Layout, track: FigureTrack, manner: StandInManner, random: () => number): TappedMark[] {
  return track.figures.flatMap((planned, index): TappedMark[] => {
    const stretch = sidewaysIn(asked, planned, track.gait);
    if (!stretch) return [];
    const at = poseAt(stretch, stretch.lengthM / 2).at;
    const own = manner.slip;
    if (own && random() < own.chance) return [{ kind: 'slip', place: index + 1, from: own.from, at }];
    const from = SLIPS[Math.floor(random() * SLIPS.length)]!;
    return random() < manner.mishap / 2 ? [{ kind: 'slip', place: index + 1, from, at }] : [];
  });
}

function sidewaysIn(asked: Layout, planned: PlannedFigure, gait: FigureTrack['gait']): Chain | null {
  const ride = rideFigure(planned, planned.gait ?? gait, asked.arena);
  if (!ride.ok) return null;
  const piece = ride.pieces.find(one => one.kind === 'stretch' && one.sideways);
  return piece?.kind === 'stretch' ? piece.chain : null;
}

const LOOK_EVERY_M = 1;

/** Whoever comes by a bad place has trouble there now and then; elsewhere it is seldom, and anywhere. */
function spotMarks(asked: Layout, track: FigureTrack, manner: StandInManner, random: () => number): TappedMark[] {
  if (!manner.badPlace) return [];
  const { at, radiusM, chance } = manner.badPlace;
  const way = track.figures.flatMap(planned => {
    const ride = rideFigure(planned, planned.gait ?? track.gait, asked.arena);
    return ride.ok ? ride.pieces.flatMap(piece => (piece.kind === 'stretch' ? placesOn(piece.chain) : [])) : [];
  });
  const near = way.filter(place => distanceM(place, at) <= radiusM);
  if (near.length > 0 && random() < chance) return [{ kind: 'spot', at: near[Math.floor(random() * near.length)]! }];
  const anywhere = way[Math.floor(random() * way.length)];
  return anywhere && random() < manner.mishap / 2 ? [{ kind: 'spot', at: anywhere }] : [];
}

function placesOn(chain: Chain): PointM[] {
  const steps = Math.max(1, Math.floor(chain.lengthM / LOOK_EVERY_M));
  return Array.from({ length: steps + 1 }, (_, step) => poseAt(chain, (chain.lengthM * step) / steps).at);
}
