import type { GaitedGait } from '../horse/strideEntry';

/** The gaits a track may be ridden in. */
export type TrackGait = 'walk' | 'trot' | 'canter' | 'course-canter' | GaitedGait;

export const TRACK_GAITS: readonly TrackGait[] = [
  'walk',
  'trot',
  'canter',
  'course-canter',
  'flat-walk',
  'running-walk',
  'fox-trot',
  'saddle-gait',
  'pace',
];

/** A gait, or a halt, within a sentence. */
export const gaitWord = (gait: TrackGait | 'halt'): string => gait.replace('-', ' ');

/** Whether two gaits are one: the canter of a course is a canter. */
export function sameGait(a: TrackGait | 'halt', b: TrackGait | 'halt'): boolean {
  const plain = (gait: TrackGait | 'halt') => (gait === 'course-canter' ? 'canter' : gait);
  return plain(a) === plain(b);
}
