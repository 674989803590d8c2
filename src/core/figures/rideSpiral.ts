import { chainEnd, chainOf } from '../geometry/chain';
import type { Pose } from '../geometry/pose';
import type { TrackGait } from '../layout/trackGait';
import { sideOfRein } from '../track/rein';
import type { Figure } from './figure';
import type { FigureRide } from './figureRide';
import { plainStretch, type RidePiece } from './stretch';

/** Common practice, no source: a horse that yields on a circle stands about this much across its path. */
const YIELD_ON_CIRCLE_RAD = Math.PI / 18;

/**
 * In by half circles of shrinking diameter and out again by the same: the chain closes where it began. In school "bend"
 * the way in follows the bend, in school "yield" the horse yields in; the way out is always yielded from the inside leg.
 */
export function rideSpiral(spiral: Extract<Figure, { kind: 'spiral' }>, gait: TrackGait): FigureRide {
  const { start, rein, diametersM, school, times } = spiral;
  const pieces: RidePiece[] = [];
  let at: Pose = start;
  const half = (diameterM: number, yieldSide: -1 | 0 | 1) => {
    const side = sideOfRein(rein);
    const chain = chainOf(at, [{ kind: 'turn', radiusM: diameterM / 2, sweepRad: side * Math.PI }]);
    const sideways =
      yieldSide === 0 ? null : { movement: 'leg-yield' as const, bodyRad: -yieldSide * side * YIELD_ON_CIRCLE_RAD };
    pieces.push({ ...plainStretch(chain, gait, rein), sideways });
    at = chainEnd(chain);
  };
  for (let time = 0; time < times; time += 1) {
    // One yields from size to size; a half circle of the size before it is only ridden.
    const isNewSize = (sizes: readonly number[], index: number) => index > 0 && sizes[index] !== sizes[index - 1];
    diametersM.forEach((diameterM, index, sizes) =>
      half(diameterM, isNewSize(sizes, index) && school === 'yield' ? 1 : 0),
    );
    [...diametersM].reverse().forEach((diameterM, index, sizes) => half(diameterM, isNewSize(sizes, index) ? -1 : 0));
  }
  return { ok: true, pieces };
}
