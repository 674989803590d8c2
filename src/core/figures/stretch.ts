import type { Chain } from '../geometry/chain';
import type { Pose } from '../geometry/pose';
import type { TrackGait } from '../layout/trackGait';
import type { Rein } from '../track/rein';
import type { Pace, Rest, SidewaysMovement, StationDeed } from './figure';

/** The horse's body at an angle to its path: `bodyRad` is body heading − path heading. */
export type Sideways = { movement: SidewaysMovement; bodyRad: number };

/** A tangent-continuous piece of a ride in one gait on one rein. */
export type Stretch = {
  kind: 'stretch';
  chain: Chain;
  gait: TrackGait;
  rein: Rein;
  pace: Pace;
  sideways: Sideways | null;
  counterBend: boolean;
  /** Null where it is work. */
  rest: Rest | null;
};

/** Something done on the spot, or in a few steps aside or back: it takes time and little ground. */
export type Station = { kind: 'station'; pose: Pose; leaves: Pose; rein: Rein; deed: StationDeed };

export type RidePiece = Stretch | Station;

/** A plain stretch, on one track and at a normal stride. */
export function plainStretch(chain: Chain, gait: TrackGait, rein: Rein): Stretch {
  return { kind: 'stretch', chain, gait, rein, pace: 'normal', sideways: null, counterBend: false, rest: null };
}
