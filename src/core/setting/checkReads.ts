import type { Arena } from '../arena/arena';
import { distanceM, type PointM } from '../geometry/pointM';
import type { CheckMeasure } from './setPiece';
import { checkedFrom, type Where } from './stretches';

/**
 * What a check reads where a piece and all else lie as they do, metres.
 * @param at - where the end that is checked lies
 * @param where - where any point on the ground lies
 */
export function checkReadsM(arena: Arena, { from }: CheckMeasure, at: PointM, where: Where): number {
  return distanceM(checkedFrom(arena, from, at, where), at);
}
