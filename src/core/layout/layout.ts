import type { Arena } from '../arena/arena';
import type { Fall } from '../arena/fall';
import type { PlannedFigure } from '../figures/figure';
import type { PointM } from '../geometry/pointM';
import type { HorseType } from '../horse/horse';
import type { HorseLevel } from '../horse/horseLevel';
import type { StrideEntryKey, StrideRange } from '../horse/strideEntry';
import type { Item } from '../items/item';
import type { KitAtHand } from '../items/kit';
import type { Approach, School, Setting } from '../stride/school';
import type { Rein } from '../track/rein';
import type { TrackGait } from './trackGait';

export type LegTrackChoice = 'direct' | 'natural' | 'wide' | { via: PointM };

export type PlannedLeg = {
  track: LegTrackChoice;
  setting: Setting;
  approach: Approach;
  /** The count that is meant, or null. */
  asked: number | null;
  /** For a circle back to the same item. */
  circle: { rein: Rein; radiusM: number } | null;
};

/** A track ridden as a course: its speed, and the ground before the first and behind the last item, metres. */
export type CoursePlan = { speedMPerMin: number; startM: number; finishM: number };

/** A track over poles and fences, in order. */
export type ItemTrack = {
  kind: 'items';
  id: string;
  name: string | null;
  gait: TrackGait;
  through: { item: string; reversed: boolean }[];
  /** One fewer than `through`. */
  legs: PlannedLeg[];
  course: CoursePlan | null;
  /** A fan: each horse rides where the spacing is its own step, as far as the poles reach; left out, all ride the middle. */
  ownLines?: boolean;
  /** How many times it is planned to be ridden. */
  passes: number;
};

/** A session of figures on the flat, ridden one after the other. */
export type FigureTrack = {
  kind: 'figures';
  id: string;
  name: string | null;
  gait: TrackGait;
  figures: PlannedFigure[];
  passes: number;
};

export type PlannedTrack = ItemTrack | FigureTrack;

export type LayoutHorse = {
  id: string;
  name: string;
  heightM: number;
  type: HorseType;
  level: HorseLevel;
  strides: Partial<Record<StrideEntryKey, StrideRange & { spread?: number }>>;
};

/** A whole layout, as the layout file holds it. */
export type Layout = {
  name: string;
  arena: Arena;
  /** How the sand falls, or null where it lies level or nobody has said. */
  fall: Fall | null;
  school: School;
  /** How far a horse leans into a turn; null where turns are taken to cost no stride; left out the usual 20°. */
  leanRad?: number | null;
  items: Item[];
  tracks: PlannedTrack[];
  horses: LayoutHorse[];
  /** What the yard has to set it with, by kind as far as it was counted; null where nobody has said. */
  kit: KitAtHand | null;
};

export const DEFAULT_LEG: PlannedLeg = {
  track: 'natural',
  setting: 'course',
  approach: 'canter',
  asked: null,
  circle: null,
};
