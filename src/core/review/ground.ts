import { poseAt } from '../geometry/chain';
import type { PointM } from '../geometry/pointM';
import type { StrideEntryKey } from '../horse/strideEntry';
import type { Layout } from '../layout/layout';
import { distanceCaseOf, reckonItemTrack } from '../layout/reckonLayout';
import { settingAt } from '../layout/layoutStrides';
import type { TrackGait } from '../layout/trackGait';
import type { PlannedFigure } from '../figures/figure';
import { figureWords } from '../figures/figureWords';
import { labelsAsBuilt } from '../question/labelsAsBuilt';
import { rideSession, type Session } from '../figures/rideSession';
import { figureStartsM, sessionGaits, type GaitStretch } from '../figures/sessionGaits';
import { transitionsOf } from '../figures/transitionsAsked';
import { wayCells } from './wayCells';
import { questionWork, type QuestionWork } from '../work/questionWork';
import { distanceRule, type DistanceRule } from '../stride/distanceRule';

/** A leg as the record needs it: how much ground, by which rule strides are counted in it, and what was asked. */
export type RiddenLeg = {
  /** What its ends are called. */
  from: string;
  to: string;
  groundM: number;
  /** The ground as it counts for strides, with what its turns cost; and the shortest share of the stride on them. */
  countedM: number;
  turnShare: number;
  rule: DistanceRule;
  /** The profile entry that its strides belong to; null where they say nothing of one (a grid is ridden as it is set). */
  entry: StrideEntryKey | null;
  asked: number | null;
  betweenPoles: boolean;
};

/** From which gait to which; the same where only a figure begins. */
export type GaitChange = { from: TrackGait | 'halt'; to: TrackGait | 'halt'; alongM: number; at: PointM };

/** A question over a layout version as the review needs it. Neither ever changes, so it is reckoned once. */
export type RiddenGround = {
  gait: TrackGait | null;
  legs: RiddenLeg[];
  /** The count asked of each leg. */
  asked: (number | null)[];
  stops: { id: string; name: string; at: PointM; isFence: boolean }[];
  figures: string[];
  /** The squares of sand that it goes through away from its stops. */
  cells: PointM[];
  /** Where the horse goes sideways: the middle of each such stretch. */
  asides: PointM[];
  /** The gaits that were asked, along the track with a few metres before its first stop and behind its last; where on it each stop is. */
  gaits: GaitStretch[];
  stopsM: number[];
  /** Places on the flat from which on a gait may be said: where another is asked, and where a figure begins. */
  changes: GaitChange[];
  work: QuestionWork;
};

/** What lies so near to a stop is of the stop, metres. */
const STOP_M = 5;

/** Common practice, no source: so far before the first pole or fence and behind the last a gait is looked at too, metres. */
const RUN_M = 5;

const POLE_ENTRIES: Partial<Record<TrackGait, StrideEntryKey>> = {
  walk: 'walk-poles',
  trot: 'trot-poles',
  canter: 'canter-poles',
  'course-canter': 'canter-poles',
};

/** Nothing is known of what was ridden: its layout does not have it. */
const NOTHING: RiddenGround = {
  ...{ gait: null, legs: [], asked: [], stops: [], figures: [], cells: [], asides: [] },
  ...{ gaits: [], stopsM: [], changes: [] },
  work: { stops: [], legCircles: [], figureCircles: { left: 0, right: 0 } },
};

/**
 * What of an asked layout the record hangs on.
 * @param asked - as drawn, or its mirror image where that was ridden; null where the layout does not have it
 * @param drawn - as drawn
 * @param whole - the layout that it was asked over: its things are called as they are there
 */
export function riddenGround(
  asked: Layout | null,
  drawn: Layout | null = asked,
  whole: Layout | null = drawn,
): RiddenGround {
  const track = asked?.tracks[0];
  if (!asked || !track) return NOTHING;
  const work = questionWork(drawn ?? asked);
  if (track.kind === 'figures') {
    const session = rideSession(asked.arena, track.figures, track.gait);
    const pieces = session.ok ? session.pieces : [];
    const cells = wayCells(
      asked.arena,
      pieces.flatMap(piece => (piece.kind === 'stretch' ? piece.chain : [])),
      [],
      STOP_M,
    );
    const asides = pieces.flatMap(piece =>
      piece.kind === 'stretch' && piece.sideways ? [poseAt(piece.chain, piece.chain.lengthM / 2).at] : [],
    );
    const gaits = sessionGaits(session);
    const changes = changesOf(session, track.figures, gaits);
    return {
      ...NOTHING,
      gait: track.gait,
      figures: track.figures.map(figureWords),
      cells,
      asides,
      gaits,
      changes,
      work,
    };
  }
  const itemOf = (id: string) => asked.items.find(item => item.id === id)!;
  const { inWords } = labelsAsBuilt(whole ?? asked, asked);
  const reckoned = reckonItemTrack({ ...asked, horses: [] }, track);
  const legs = reckoned.legs.map((leg, index): RiddenLeg => {
    const planned = track.legs[index]!;
    const read = leg.gap ?? leg;
    const setting = settingAt(track.gait, planned);
    return {
      ...{ from: inWords(read.from), to: inWords(leg.to), groundM: read.groundM, asked: planned.asked },
      ...{ countedM: read.cost.countedM, turnShare: read.cost.turnShare },
      rule: distanceRule(distanceCaseOf(asked, track, index)),
      entry: setting === 'poles' ? (POLE_ENTRIES[track.gait] ?? null) : setting === 'course' ? 'course-canter' : null,
      betweenPoles: [leg.from, leg.to].every(id => itemOf(id).kind === 'pole'),
    };
  });
  const stops = track.through.map(({ item: id }) => ({
    ...{ id, name: inWords(id), at: itemOf(id).at, isFence: itemOf(id).kind === 'fence' },
  }));
  const cells = wayCells(
    asked.arena,
    reckoned.legs.map(({ chain }) => chain),
    stops.map(({ at }) => at),
    STOP_M,
  );
  const stopsM = reckoned.legs.reduce((at, { trackM }) => [...at, at.at(-1)! + trackM], [RUN_M]);
  return {
    ...{ gait: track.gait, gaits: [{ gait: track.gait, fromM: 0, toM: stopsM.at(-1)! + RUN_M }], stopsM, changes: [] },
    legs,
    asked: legs.map(({ asked: count }) => count),
    stops,
    figures: [],
    cells,
    asides: [],
    work,
  };
}

function changesOf(session: Session, figures: readonly PlannedFigure[], gaits: readonly GaitStretch[]): GaitChange[] {
  const asked = transitionsOf(session).map(({ from, to, alongM, pose }) => ({ from, to, alongM, at: pose.at }));
  const starts = figureStartsM(session, figures.length).flatMap((alongM, index): GaitChange[] => {
    if (alongM === null || asked.some(change => Math.abs(change.alongM - alongM) < 1e-6)) return [];
    const gait = gaits.findLast(({ fromM }) => fromM <= alongM + 1e-6)?.gait;
    return gait ? [{ from: gait, to: gait, alongM, at: figures[index]!.figure.start.at }] : [];
  });
  return [...asked, ...starts].sort((a, b) => a.alongM - b.alongM);
}
