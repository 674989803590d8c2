import { assertNever } from '../assertNever';
import { pointAlong } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';
import { sideOfRein, type Rein } from '../track/rein';
import type { StationDeed } from './figure';
import type { Station } from './stretch';

/** Common practice, no source: the ground of one step back, and of one step aside. */
const STEP_BACK_M = 0.6;
const STEP_ASIDE_M = 0.4;

/** Something done on the spot, with the pose it leaves the horse in. */
export function stationAt(pose: Pose, rein: Rein, deed: StationDeed): Station {
  return { kind: 'station', pose, leaves: leavesPose(pose, deed), rein, deed };
}

function leavesPose(pose: Pose, deed: StationDeed): Pose {
  const { at, headingRad } = pose;
  switch (deed.kind) {
    case 'halt':
    case 'flexions':
      return pose;
    case 'turn-on-forehand':
    case 'turn-on-haunches':
      return { at, headingRad: headingRad + deed.turnRad };
    case 'rein-back':
      return { at: pointAlong(at, headingRad, -STEP_BACK_M * deed.steps), headingRad };
    case 'side-pass': {
      const asideRad = headingRad + (sideOfRein(deed.towards) * Math.PI) / 2;
      return { at: pointAlong(at, asideRad, STEP_ASIDE_M * deed.steps), headingRad };
    }
    default:
      return assertNever(deed);
  }
}

/** Common practice, no source: how long a station takes, seconds. */
export function stationSeconds(deed: StationDeed): number {
  switch (deed.kind) {
    case 'halt':
      return deed.seconds;
    case 'turn-on-forehand':
    case 'turn-on-haunches':
      return (Math.abs(deed.turnRad) / Math.PI) * 8;
    case 'rein-back':
      return deed.steps * 1;
    case 'side-pass':
      return deed.steps * 1.5;
    case 'flexions':
      return deed.eachSide * 2 * 4;
    default:
      return assertNever(deed);
  }
}
