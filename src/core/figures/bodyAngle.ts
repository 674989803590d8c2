import { sideOfRein, type Rein } from '../track/rein';
import type { SidewaysMovement } from './figure';

/** Common practice, no source: on three tracks a horse stands about 30° to its path. */
const THREE_TRACKS_RAD = Math.PI / 6;

/**
 * Body heading − path heading of a movement along a line, radians: the shoulders to the inside in shoulder-in and
 * renvers, to the outside in counter shoulder-in and travers.
 */
export function bodyAngleRad(movement: Exclude<SidewaysMovement, 'leg-yield' | 'half-pass'>, rein: Rein): number {
  const inward = movement === 'shoulder-in' || movement === 'renvers' ? 1 : -1;
  return inward * sideOfRein(rein) * THREE_TRACKS_RAD;
}
