import { assertNever } from '../assertNever';
import type { TrackGait } from '../layout/trackGait';

/** Common practice, no source: speeds for estimates, metres a minute. */
export function gaitSpeedMPerMin(gait: TrackGait): number {
  switch (gait) {
    case 'walk':
      return 100;
    case 'flat-walk':
      return 115;
    case 'trot':
      return 220;
    case 'running-walk':
    case 'fox-trot':
      return 190;
    case 'saddle-gait':
    case 'pace':
      return 220;
    case 'canter':
      return 235;
    case 'course-canter':
      return 350;
    default:
      return assertNever(gait);
  }
}
