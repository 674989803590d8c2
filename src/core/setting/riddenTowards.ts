import type { Arena, Wall } from '../arena/arena';
import { wallName } from '../arena/wallName';
import { turnBetween } from '../geometry/angles';
import type { PointM } from '../geometry/pointM';
import type { Item } from '../items/item';
import { arenaPoints, knownPointName, type KnownPoint } from './knownPoint';

/** What one points at to say which way a fence is ridden: a letter, a corner, or a whole side of the arena. */
export type Towards = { kind: 'point'; point: KnownPoint } | { kind: 'side'; wall: Wall };

const DEG = Math.PI / 180;
/** What lies this near to the way a fence is ridden is straight ahead of it (practice). */
const AHEAD_RAD = 20 * DEG;
/** Nothing farther off than this tells front from back: from here on a quarter turn could be meant. */
const FARTHEST_RAD = 45 * DEG;

/** Which way each wall lies, from anywhere on the sand. */
const WALL_HEADING_RAD: Record<Wall, number> = { near: -90 * DEG, far: 90 * DEG, left: 180 * DEG, right: 0 };
const WALLS = ['near', 'far', 'left', 'right'] as const;

/**
 * What a fence is ridden towards from its front, as one would point to it: the letter straight ahead, else the side that
 * it faces squarely, else the letter or corner nearest to its line, else the side. Never more than 45° from the heading:
 * a side counts by the way it faces. Null for what is no fence.
 */
export function riddenTowards(arena: Arena, item: Item): Towards | null {
  if (item.kind !== 'fence') return null;
  const offRad = (headingRad: number) => Math.abs(turnBetween(item.headingRad, headingRad));
  const points = arenaPoints(arena)
    .filter(({ at }) => at.xM !== item.at.xM || at.yM !== item.at.yM)
    .map(({ point, at }) => ({ point, offRad: offRad(headingTo(item.at, at)) }))
    .filter(point => point.offRad <= FARTHEST_RAD)
    .sort((a, b) => a.offRad - b.offRad);
  const letter = points.find(({ point }) => point.kind === 'letter');
  if (letter && letter.offRad <= AHEAD_RAD) return { kind: 'point', point: letter.point };
  const wall = WALLS.reduce((best, next) =>
    offRad(WALL_HEADING_RAD[next]) < offRad(WALL_HEADING_RAD[best]) ? next : best,
  );
  const nearest = points[0];
  if (!nearest || offRad(WALL_HEADING_RAD[wall]) <= AHEAD_RAD) return { kind: 'side', wall };
  return { kind: 'point', point: nearest.point };
}

const headingTo = (from: PointM, to: PointM) => Math.atan2(to.yM - from.yM, to.xM - from.xM);

/** "C", "the far left corner", "the left long side". */
export function towardsWords(arena: Arena, towards: Towards): string {
  return towards.kind === 'side' ? `the ${wallName(arena, towards.wall)}` : knownPointName(arena, towards.point);
}
