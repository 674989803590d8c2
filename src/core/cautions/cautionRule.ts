import type { RiddenItem } from '../items/item';
import { isRidden } from '../items/item';
import type { FigureTrack, ItemTrack, Layout } from '../layout/layout';
import type { LayoutEdit } from '../layout/layoutEdit';
import type { ReckonedFigureTrack, ReckonedItemTrack, ReckonedTrack } from '../layout/reckonedTrack';
import type { HorseReading, ReckonedLeg } from '../layout/reckonedLeg';
import { layoutLabels } from '../layout/labels';
import type { Caution, CautionCode } from './caution';
import { ROUNDING, type CautionLimits } from './cautionLimits';

/** A layout as it was reckoned, and the limits it is judged by. */
export type CautionContext = { layout: Layout; tracks: readonly ReckonedTrack[]; limits: CautionLimits };

/** What an item is called in a sentence. */
export const called = ({ layout }: CautionContext, itemId: string): string => layoutLabels(layout).inWords(itemId);

/** What a track is called in a sentence. */
export const trackCalled = ({ layout }: CautionContext, trackId: string): string => layoutLabels(layout).track(trackId);

/** What Roan calls a thing begins with a capital in a sentence; a name that a person gave stays as it was given. */
export const sentence = (words: string): string =>
  /^(from|fence|pole|cone|block|marker|guide rail|track|course|flat work)\b/.test(words)
    ? words.charAt(0).toUpperCase() + words.slice(1)
    : words;

/** From where to where a leg is read, in a sentence: a gap with a pole in it from the fence before. */
export const readFromTo = (context: CautionContext, { from, to, gap }: ReckonedLeg): string =>
  fromTo(context, { from: gap?.from ?? from, to });

/** From where to where a leg goes, in a sentence. */
export const fromTo = (context: CautionContext, { from, to }: Pick<ReckonedLeg, 'from' | 'to'>): string =>
  `from ${called(context, from)} to ${called(context, to)}`;

/** One rule: what it finds, and what might mend a thing it found, the likeliest first. */
export type CautionRule = {
  code: CautionCode;
  find: (context: CautionContext) => Caution[];
  /** Edits that are each tried whole; the first that silences the caution and raises none is what Roan offers. */
  mends: (context: CautionContext, caution: Caution) => Iterable<LayoutEdit[]>;
};

export type TrackOfItems = { plan: ItemTrack; reckoned: ReckonedItemTrack };
export type TrackOfFigures = { plan: FigureTrack; reckoned: ReckonedFigureTrack };

/** The tracks over items, each with its plan. */
export function itemTracks({ layout, tracks }: CautionContext): TrackOfItems[] {
  return layout.tracks.flatMap((plan, index) => {
    const reckoned = tracks[index];
    return plan.kind === 'items' && reckoned?.kind === 'items' ? [{ plan, reckoned }] : [];
  });
}

/** The sessions of figures, each with its plan. */
export function figureTracks({ layout, tracks }: CautionContext): TrackOfFigures[] {
  return layout.tracks.flatMap((plan, index) => {
    const reckoned = tracks[index];
    return plan.kind === 'figures' && reckoned?.kind === 'figures' ? [{ plan, reckoned }] : [];
  });
}

export type LegInTrack = TrackOfItems & { leg: ReckonedLeg; index: number };

/** Every leg of a layout. */
export function allLegs(context: CautionContext): LegInTrack[] {
  return itemTracks(context).flatMap(track => track.reckoned.legs.map((leg, index) => ({ ...track, leg, index })));
}

export type ReadLeg = LegInTrack & { reading: HorseReading };

/** Every horse's reading of every leg. */
export function allReadings(context: CautionContext): ReadLeg[] {
  return allLegs(context).flatMap(leg => leg.leg.readings.map(reading => ({ ...leg, reading })));
}

/** The track and the leg that a caution is about; null where it is about neither. */
export function legOfCaution(context: CautionContext, { place }: Pick<Caution, 'place'>): LegInTrack | null {
  return allLegs(context).find(({ plan, index }) => plan.id === place.track && index === (place.part ?? 0)) ?? null;
}

/** An item that is ridden, by its id; null where there is none. */
export function riddenItem(layout: Layout, id: string): RiddenItem | null {
  const item = layout.items.find(candidate => candidate.id === id);
  return item && isRidden(item) ? item : null;
}

/** Metres in a sentence. */
export const metres = (lengthM: number) => `${lengthM.toFixed(lengthM < 1 ? 2 : 1)} m`;

/** The same of what is measured by a limit: to the centimetre where both would read alike, on the side of it on which it is. */
export function metresBy(lengthM: number, limitM: number): string {
  if (metres(lengthM) !== metres(limitM)) return metres(lengthM);
  // What is a whole centimetre but for rounding is that one.
  const cm = lengthM < limitM ? Math.floor(lengthM * 100 + ROUNDING) : Math.ceil(lengthM * 100 - ROUNDING);
  return `${(cm / 100).toFixed(2)} m`;
}
