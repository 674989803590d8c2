import {
  askedLayout,
  callSheet,
  chainsOf,
  figureParts,
  figureWords,
  labelsAsBuilt,
  nameWords,
  questionKey,
  questionWords,
  reckonLayout,
  saidOfPair,
  trackWork,
  waysToRide,
  type CallLine,
  type ItemTrack,
  type Labels,
  type Layout,
  type LayoutHorse,
  type Question,
  type QuestionWork,
  type ReckonedItemTrack,
  type ReckonedTrack,
  type RideWay,
  type TrackGait,
} from '@/core';

/** A track as it is marked: its stops, and the legs between them, as one horse rides it. */
export type RunTrack = {
  gait: TrackGait;
  planned: ItemTrack;
  reckoned: ReckonedItemTrack;
  stops: { item: string; label: string; words: string; isFence: boolean; heightM: number | null }[];
  legs: {
    from: string;
    to: string;
    groundM: number;
    asked: number | null;
    /** The count that lies nearest for the horse. */
    likely: number;
    betweenPoles: boolean;
    /** What no stride at all is called here. */
    zeroIs: 'bounce' | 'step';
    /** "6 asked: short, and meant to be"; null where its stride is not known. */
    words: string | null;
  }[];
  calls: CallLine[];
};

/** A question over a layout as it is ridden by one horse: all that is shown and marked of it. */
export type AskedRide = {
  words: string;
  /** What an item is called in a sentence. */
  inWords: (itemId: string) => string;
  /** The layout as it is asked, as drawn. */
  asked: Layout;
  ways: RideWay[];
  work: QuestionWork;
  track: RunTrack | null;
  figures: string[];
  /** Parts of the figures, by the place of their figure: what each is called. */
  parts: Readonly<Record<number, readonly string[]>>;
  reckoned: ReckonedTrack;
  /** The way its first leg goes, radians; null where there is none. */
  headingRad: number | null;
  key: string;
};

/** Whether the horse that a question is ridden on has gaits of its own. */
export const isOfGaited = (ride: Pick<AskedRide, 'asked'> | null): boolean =>
  ride?.asked.horses.some(({ type }) => type === 'gaited') ?? false;

const known = new WeakMap<Layout, Map<string, AskedRide | null>>();

/** A question over a kept layout, for a horse; null where the layout does not have it. Reckoned once for the same words. */
export function askedRide(layout: Layout, question: Question, horse: LayoutHorse | null): AskedRide | null {
  const rides = known.get(layout) ?? new Map<string, AskedRide | null>();
  known.set(layout, rides);
  const name = `${horse?.id ?? ''} ${JSON.stringify(question)}`;
  const before = rides.get(name);
  if (before !== undefined) return before;
  const ride = rideOf({ ...layout, horses: horse ? [horse] : [] }, question);
  rides.set(name, ride);
  return ride;
}

function rideOf(layout: Layout, question: Question): AskedRide | null {
  const asked = askedLayout(layout, question);
  const track = asked?.tracks[0];
  if (!asked || !track) return null;
  const [reckoned] = reckonLayout(asked);
  const labels = labelsAsBuilt(layout, asked);
  const items = track.kind === 'items' && reckoned?.kind === 'items' ? trackOf(asked, track, reckoned, labels) : null;
  return {
    ...{
      asked,
      track: items,
      inWords: labels.inWords,
      words: questionWords(layout, question),
      key: questionKey(asked),
    },
    ...{ ways: waysToRide(asked), work: trackWork(asked.items, track, reckoned!) },
    figures: track.kind === 'figures' ? track.figures.map(figureWords) : [],
    parts: partsOf(asked, track),
    reckoned: reckoned!,
    headingRad: chainsOf(reckoned!)[0]?.start.headingRad ?? null,
  };
}

function partsOf({ arena }: Layout, track: Layout['tracks'][number]): AskedRide['parts'] {
  if (track.kind !== 'figures') return {};
  return Object.fromEntries(
    track.figures.map((figure, index) => [
      index + 1,
      figureParts(arena, figure, figure.gait ?? track.gait).map(({ words }) => words),
    ]),
  );
}

function trackOf(asked: Layout, track: ItemTrack, reckoned: ReckonedItemTrack, labels: Labels): RunTrack {
  const itemOf = (id: string) => asked.items.find(item => item.id === id)!;
  return {
    ...{ gait: track.gait, planned: track, reckoned },
    stops: track.through.map(({ item: id }) => {
      const item = itemOf(id);
      return {
        ...{ item: id, label: labels.short(id), words: nameWords(item, labels.called(id)) },
        ...{ isFence: item.kind === 'fence', heightM: item.kind === 'fence' ? item.heightM : null },
      };
    }),
    legs: reckoned.legs.map((leg, index) => {
      const reading = leg.readings[0];
      const betweenPoles = [leg.from, leg.to].every(id => itemOf(id).kind === 'pole');
      return {
        ...{ from: labels.inWords(leg.from), to: labels.inWords(leg.to), groundM: leg.groundM },
        ...{ asked: track.legs[index]!.asked, likely: Math.max(0, Math.round(reading?.evenCount ?? 2)) },
        betweenPoles,
        zeroIs: reading?.zeroIs ?? (betweenPoles ? 'step' : 'bounce'),
        words: reading ? saidOfPair(reading) : null,
      };
    }),
    calls: callSheet(asked, track, reckoned),
  };
}

/** What stands at a place of a ride's own track, from 1; on the flat, what its figure, or a part of it, is called. */
export function placeName(
  ride: Pick<AskedRide, 'track' | 'figures' | 'parts'> | null,
  place: number,
  part?: number,
): string {
  const ofFigure = part === undefined ? undefined : ride?.parts[place]?.[part - 1];
  if (ofFigure) return (ride?.figures.length ?? 0) > 1 ? `${ofFigure} of ${ride!.figures[place - 1]}` : ofFigure;
  return ride?.track?.stops[place - 1]?.words ?? ride?.figures[place - 1] ?? String(place);
}
