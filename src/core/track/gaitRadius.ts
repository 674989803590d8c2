import { assertNever } from '../assertNever';
import type { TrackGait } from '../layout/trackGait';

/** The smallest radius a track is ridden at, by gait, metres (common practice, no source). */
export function gaitRadiusM(gait: TrackGait): number {
  switch (gait) {
    case 'walk':
    case 'flat-walk':
      return 1.5;
    case 'trot':
    case 'running-walk':
    case 'fox-trot':
    case 'saddle-gait':
    case 'pace':
      return 3;
    case 'canter':
      return 5;
    case 'course-canter':
      return 6;
    default:
      return assertNever(gait);
  }
}
