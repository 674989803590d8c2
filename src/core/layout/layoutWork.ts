import { changesOfRein } from '../course/changesOfRein';
import { gaitSpeedMPerMin } from '../figures/gaitSpeed';
import { isRaised } from '../items/pole';
import type { Layout } from './layout';
import { chainsOf } from './alongTrack';
import type { ReckonedTrack } from './reckonedTrack';
import type { TrackGait } from './trackGait';

/** What one ride of a track is. Times in minutes at the usual speeds, or at the course's own. */
export type TrackWork = {
  id: string;
  gait: TrackGait;
  passes: number;
  lengthM: number;
  minutes: number;
  /** Fences jumped. */
  efforts: number;
  /** Raised poles ridden over. */
  raised: number;
  changesOfRein: number;
  minutesByGait: Partial<Record<TrackGait | 'halt', number>>;
};

/** The work of each track ridden once, in the order of the layout. */
export function layoutWork(layout: Layout, reckoned: readonly ReckonedTrack[]): TrackWork[] {
  return layout.tracks.map((track, index) => {
    const ridden = reckoned[index]!;
    const { id, gait, passes } = track;
    const work = { id, gait, passes, efforts: 0, raised: 0 };
    if (track.kind === 'figures' || ridden.kind === 'figures') {
      const measure = ridden.kind === 'figures' ? ridden.measure : null;
      const { lengthM = 0, minutes = 0, minutesByGait = {} } = measure ?? {};
      return { ...work, lengthM, minutes, minutesByGait, changesOfRein: measure?.changesOfRein ?? 0 };
    }
    const lengthM = ridden.course?.lengthM ?? ridden.lengthM;
    const minutes = lengthM / (track.course?.speedMPerMin ?? gaitSpeedMPerMin(gait));
    const items = track.through.map(({ item }) => layout.items.find(({ id: other }) => other === item));
    return {
      ...work,
      lengthM,
      minutes,
      minutesByGait: { [gait]: minutes },
      efforts: items.filter(item => item?.kind === 'fence').length,
      raised: items.filter(item => item?.kind === 'pole' && isRaised(item.raised)).length,
      changesOfRein: changesOfRein(chainsOf(ridden).flatMap(({ segments }) => segments)),
    };
  });
}
