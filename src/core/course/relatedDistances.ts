import { totalTurnRad } from '../geometry/chain';
import type { ReckonedLeg } from '../layout/reckonedLeg';

/** Fences near enough to each other that one is ridden with the next in mind. */
export type RelatedDistance = {
  from: string;
  to: string;
  groundM: number;
  kind: 'combination' | 'related line' | 'bending line';
};

/** Common practice, no source: related up to eight strides of a medium horse; in line within 5°; a bend up to a quarter turn. */
const RELATED_M = 9 * 3.66;
const IN_LINE_RAD = Math.PI / 36;
const BEND_RAD = Math.PI / 2 + 1e-6;
/** FEI Jumping Rules, Art. 212 (from memory): inside a combination 12 m at most. */
const COMBINATION_M = 12;

/** The related distances of a course, found by themselves: short enough, and not round a corner. */
export function relatedDistances(legs: readonly ReckonedLeg[], isFence: (id: string) => boolean): RelatedDistance[] {
  return legs.flatMap(({ from, to, groundM, chain }) => {
    const turnRad = totalTurnRad(chain);
    if (!isFence(from) || !isFence(to) || from === to || groundM > RELATED_M || turnRad > BEND_RAD) return [];
    const inLine = turnRad <= IN_LINE_RAD;
    const kind = !inLine ? 'bending line' : groundM <= COMBINATION_M ? 'combination' : 'related line';
    return [{ from, to, groundM, kind }];
  });
}
