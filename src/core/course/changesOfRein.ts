import type { Segment } from '../geometry/segment';
import type { Rein } from '../track/rein';

/** Common practice, no source: less turning than this one way is steering, not a rein. */
const LEAST_TURN_RAD = Math.PI / 6;

/** The reins a track is ridden on, one after the other: a turn counts once it comes to 30° one way. */
export function reinsRidden(segments: readonly Segment[]): Rein[] {
  const reins: Rein[] = [];
  let turnedRad = 0;
  for (const segment of segments) {
    if (segment.kind === 'line') continue;
    const onTheSameSide = Math.sign(segment.sweepRad) === Math.sign(turnedRad);
    turnedRad = onTheSameSide ? turnedRad + segment.sweepRad : segment.sweepRad;
    if (Math.abs(turnedRad) < LEAST_TURN_RAD) continue;
    const rein: Rein = turnedRad > 0 ? 'left' : 'right';
    if (reins[reins.length - 1] !== rein) reins.push(rein);
  }
  return reins;
}

/** How often a track changes the rein. */
export function changesOfRein(segments: readonly Segment[]): number {
  return Math.max(0, reinsRidden(segments).length - 1);
}
