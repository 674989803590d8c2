import type { Chain } from '../geometry/chain';
import type { Rein } from '../track/rein';

/** Which way a track turns in all: not to speak of, to one side, or to both, so that it changes the rein. */
export type Turning = 'straight' | Rein | 'changes';

/** Less turning than this, all together, is steering: it may be ridden off either rein (common practice, no source). */
const LEAST_TURN_RAD = Math.PI / 2;
/** Less than this to the other side makes no change of rein (common practice, no source). */
const LEAST_CHANGE_RAD = Math.PI / 4;

/** How a track turns, from the arcs of its pieces in order. */
export function turningOf(chains: readonly Chain[]): Turning {
  let [leftRad, rightRad] = [0, 0];
  for (const { segments } of chains)
    for (const segment of segments) {
      if (segment.kind !== 'arc') continue;
      if (segment.sweepRad > 0) leftRad += segment.sweepRad;
      else rightRad -= segment.sweepRad;
    }
  if (leftRad + rightRad < LEAST_TURN_RAD) return 'straight';
  if (Math.min(leftRad, rightRad) >= LEAST_CHANGE_RAD) return 'changes';
  return leftRad > rightRad ? 'left' : 'right';
}
