import { isRidden } from '../items/item';
import type { Layout, LayoutHorse } from '../layout/layout';
import type { TrackGait } from '../layout/trackGait';
import { reckonLayout } from '../layout/reckonLayout';
import type { ReckonedTrack } from '../layout/reckonedTrack';
import { callSheet, turnWords } from '../plan/callSheet';
import { callWords, flatCalls } from '../plan/flatCall';
import { askedLayout } from '../question/askedLayout';
import { labelsAsBuilt } from '../question/labelsAsBuilt';
import type { Question } from '../question/question';
import { questionWords } from '../question/questionWords';
import { saidOfPair } from '../question/readForPairs';

/** A leg as a rider reads it: from where to where, how far, which way it goes on, and what it is ridden in. */
export type ShownLeg = {
  from: string;
  to: string;
  groundM: number;
  way: string;
  /** The count that is asked, else what it is for the horse; null where neither is known. */
  said: string | null;
};

/** A question as it is drawn and written down for somebody: what stands, the numbers of the course, legs, figures. */
export type AskedToShow = {
  words: string;
  gait: string;
  /** As asked, with its one track. */
  layout: Layout;
  track: ReckonedTrack;
  /** What is ridden, by its short label. */
  labels: Map<string, string>;
  /** The same as it is called in a sentence. */
  called: Map<string, string>;
  legs: ShownLeg[];
  /** Figures as they are called, letter by letter. */
  figures: string[];
};

/**
 * A question as somebody reads it.
 * @param horse - whose strides the legs are told in; null for nobody's
 * @returns null where the layout does not have what it goes over
 */
export function askedToShow(layout: Layout, question: Question, horse: LayoutHorse | null): AskedToShow | null {
  const asked = askedLayout({ ...layout, horses: horse ? [horse] : [] }, question);
  const track = asked?.tracks[0];
  if (!asked || !track) return null;
  const reckoned = reckonLayout(asked)[0]!;
  const { short, inWords } = labelsAsBuilt(layout, asked);
  return {
    ...{ words: questionWords(layout, question), gait: gaitWord(track.gait), layout: asked, track: reckoned },
    labels: new Map(asked.items.filter(isRidden).map(({ id }) => [id, short(id)])),
    called: new Map(asked.items.filter(isRidden).map(({ id }) => [id, inWords(id)])),
    legs: track.kind === 'items' && reckoned.kind === 'items' ? shownLegs(asked, track, reckoned, inWords) : [],
    figures: track.kind === 'figures' ? flatCalls(asked.arena, track.figures, track.gait).map(callWords) : [],
  };
}

function shownLegs(
  asked: Layout,
  track: Extract<Layout['tracks'][number], { kind: 'items' }>,
  reckoned: Extract<ReckonedTrack, { kind: 'items' }>,
  inWords: (id: string) => string,
): ShownLeg[] {
  const lines = callSheet(asked, track, reckoned);
  return reckoned.legs.map((leg, index) => {
    const next = lines[index]?.next ?? null;
    const [reading] = leg.readings;
    return {
      ...{ from: inWords(leg.from), to: inWords(leg.to), groundM: leg.groundM },
      way: turnWords(next?.turns ?? []),
      said: reading ? saidOfPair(reading) : next?.asked ? `in ${next.asked}` : null,
    };
  });
}

/** A gait as a rider says it: over fences it is a canter. */
function gaitWord(gait: TrackGait): string {
  return gait === 'course-canter' ? 'canter' : gait.replace('-', ' ');
}
