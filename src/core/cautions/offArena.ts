import { isInsideArena, type Arena } from '../arena/arena';
import { isChainInside } from '../geometry/insideArena';
import { footprintCorners } from '../items/footprint';
import type { Item } from '../items/item';
import type { ReckonedLeg } from '../layout/reckonLayout';
import type { Caution } from './caution';

const ROUNDING_M = 1e-6;

/** An item that sticks out over the wall. */
export function itemOffArena(arena: Arena, item: Item): Caution[] {
  if (footprintCorners(item).every(corner => isInsideArena(arena, corner, -ROUNDING_M))) return [];
  return [offArena([item.id], `${item.id} does not lie on the sand.`)];
}

/** A track that leaves the sand. */
export function legOffArena(arena: Arena, leg: ReckonedLeg): Caution[] {
  if (isChainInside(arena, leg.chain, -ROUNDING_M)) return [];
  return [offArena([leg.from, leg.to], `The line from ${leg.from} to ${leg.to} leaves the sand.`)];
}

function offArena(items: string[], text: string): Caution {
  return { code: 'off-arena', level: 'stop', items, text, mend: 'Move it inside the walls.' };
}
