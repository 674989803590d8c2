import type { Chain } from '../geometry/chain';
import { chainPart } from '../geometry/chainPart';
import type { TrackGait } from '../layout/trackGait';
import type { Rein } from '../track/rein';
import { plainStretch, type Stretch } from './stretch';

/** A chain on one rein as far as `atM`, and on another from there. */
export function splitByRein(chain: Chain, atM: number, gait: TrackGait, before: Rein, behind: Rein): Stretch[] {
  return [
    plainStretch(chainPart(chain, 0, atM), gait, before),
    plainStretch(chainPart(chain, atM, chain.lengthM), gait, behind),
  ];
}
