import type { PointM } from '../geometry/pointM';
import type { StrideEntryKey } from '../horse/strideEntry';
import type { Layout } from '../layout/layout';
import { distanceCaseOf, reckonItemTrack, settingAt } from '../layout/reckonLayout';
import type { TrackGait } from '../layout/trackGait';
import { passWork, type PassWork } from '../lesson/workCounts';
import { markedTrack } from '../record/standInRide';
import { distanceRule, type DistanceRule } from '../stride/distanceRule';

/** A leg as the record needs it: how much ground, by which rule strides are counted in it, and what was asked. */
export type RiddenLeg = {
  from: string;
  to: string;
  groundM: number;
  rule: DistanceRule;
  /** The profile entry that its strides belong to; null where they say nothing of one (a grid is ridden as it is set). */
  entry: StrideEntryKey | null;
  asked: number | null;
  betweenPoles: boolean;
};

/** A layout version as the review needs it. It never changes, so it is reckoned once. */
export type RiddenGround = {
  gait: TrackGait | null;
  legs: RiddenLeg[];
  /** The count asked of each leg. */
  asked: (number | null)[];
  stops: { id: string; at: PointM; isFence: boolean }[];
  figures: string[];
  work: PassWork;
};

const POLE_ENTRIES: Partial<Record<TrackGait, StrideEntryKey>> = {
  walk: 'walk-poles',
  trot: 'trot-poles',
  canter: 'canter-poles',
  'course-canter': 'canter-poles',
};

/** What of a layout the record hangs on. */
export function riddenGround(layout: Layout): RiddenGround {
  const track = markedTrack(layout);
  const figures = layout.tracks.flatMap(one =>
    one.kind === 'figures' ? one.figures.map(({ figure }) => figure.kind) : [],
  );
  const work = passWork(layout);
  if (!track) return { gait: layout.tracks[0]?.gait ?? null, legs: [], asked: [], stops: [], figures, work };
  const itemOf = (id: string) => layout.items.find(item => item.id === id)!;
  const legs = reckonItemTrack({ ...layout, horses: [] }, track).legs.map((leg, index): RiddenLeg => {
    const planned = track.legs[index]!;
    const setting = settingAt(track.gait, planned);
    return {
      ...{ from: leg.from, to: leg.to, groundM: leg.groundM, asked: planned.asked },
      rule: distanceRule(distanceCaseOf(layout, track, index)),
      entry: setting === 'poles' ? (POLE_ENTRIES[track.gait] ?? null) : setting === 'course' ? 'course-canter' : null,
      betweenPoles: [leg.from, leg.to].every(id => itemOf(id).kind === 'pole'),
    };
  });
  const stops = track.through.map(({ item: id }) => ({ id, at: itemOf(id).at, isFence: itemOf(id).kind === 'fence' }));
  return { gait: track.gait, legs, asked: legs.map(({ asked }) => asked), stops, figures, work };
}
