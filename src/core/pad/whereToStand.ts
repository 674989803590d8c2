import type { Arena } from '../arena/arena';
import { nearestOnChain, poseAt, type Chain } from '../geometry/chain';
import type { PointM } from '../geometry/pointM';
import type { Pose } from '../geometry/pose';

/** Nobody stands nearer to a track than this, metres (common practice, no source). */
const CLEAR_M = 3;
/** Near enough to see a foot fall, far enough to see all of it, metres (common practice, no source). */
const WISHED_M = 9;
const GRID_M = 1;
const SAMPLE_M = 2;

/**
 * Where to stand to see what is ridden: side-on to it, inside a circle, never within 3 m of the line that is ridden. Null where
 * the sand leaves no such place.
 * @param stops - what is looked at; where there is none, the whole way is
 */
export function whereToStand(
  arena: Pick<Arena, 'widthM' | 'lengthM'>,
  chains: readonly Chain[],
  stops: readonly Pose[],
): PointM | null {
  const seen = stops.length > 0 ? stops : chains.flatMap(samples);
  if (seen.length === 0) return null;
  let best: { at: PointM; cost: number } | null = null;
  for (let xM = GRID_M; xM <= arena.widthM - GRID_M; xM += GRID_M)
    for (let yM = GRID_M; yM <= arena.lengthM - GRID_M; yM += GRID_M) {
      const at = { xM, yM };
      const cost = seen.reduce((sum, pose) => sum + costOf(at, pose), 0) / seen.length;
      if (best && cost >= best.cost) continue;
      if (chains.every(chain => nearestOnChain(chain, at).awayM >= CLEAR_M)) best = { at, cost };
    }
  return best?.at ?? null;
}

function samples(chain: Chain): Pose[] {
  const count = Math.max(1, Math.floor(chain.lengthM / SAMPLE_M));
  return Array.from({ length: count }, (_, i) => poseAt(chain, ((i + 0.5) / count) * chain.lengthM));
}

/** Seen from the side costs nothing, from the front all; so does being near or far. */
function costOf({ xM, yM }: PointM, { at, headingRad }: Pose): number {
  const awayM = Math.hypot(at.xM - xM, at.yM - yM);
  const lookRad = Math.atan2(at.yM - yM, at.xM - xM);
  return 1 - Math.abs(Math.sin(lookRad - headingRad)) + Math.abs(awayM - WISHED_M) / 20;
}
