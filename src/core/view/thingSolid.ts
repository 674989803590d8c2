import type { ArenaThing, ArenaThingKind } from '../arena/arena';
import { pointAlong } from '../geometry/pointM';
import type { Face } from './solid';
import { above } from './spot';

/** Common practice, no source: how high what stands on a sand is. */
const HIGH_M: Record<ArenaThingKind, number> = { pillar: 4, tree: 5, gate: 1.3, 'mounting-block': 0.6, other: 1.2 };
const SIDES = 8;

/** What stands on the sand for good, as a post of its width. */
export function thingFaces({ kind, at, radiusM }: ArenaThing): Face[] {
  const round = Array.from({ length: SIDES }, (_, side) => pointAlong(at, (side * 2 * Math.PI) / SIDES, radiusM));
  const highM = HIGH_M[kind];
  const sides = round.map((from, side): Face => {
    const to = round[(side + 1) % SIDES]!;
    return { corners: [above(from, 0), above(to, 0), above(to, highM), above(from, highM)], tone: 'thing' };
  });
  return [...sides, { corners: round.map(point => above(point, highM)), tone: 'thing' }];
}
