import {
  headingFromFacing,
  layoutHorse,
  type KitAtHand,
  type PlanGround,
  type PlanHorse,
  type YardRules,
} from '@/core';
import { arenaOf, type NamedArena } from './arenas';
import type { Horse } from './horses';
import type { KitPiece } from './kit';

/** A horse of the yard as layouts have it: held by its id, so that two may bear one name. */
export const planHorse: (horse: Horse) => PlanHorse = layoutHorse;

/** The yard's horses as plans have them. */
export function planHorses(horses: readonly Horse[]): PlanHorse[] {
  return horses.map(planHorse);
}

/** What the yard has in its store, by kind as far as it was counted; null where nothing was ever entered. */
export function kitCounts(pieces: readonly KitPiece[]): KitAtHand | null {
  const there = pieces.filter(({ archived }) => !archived);
  if (there.length === 0) return null;
  const kit: KitAtHand = {};
  for (const { kind, count } of there) {
    const { piece, each } = COUNTED_AS[kind];
    kit[piece] = (kit[piece] ?? 0) + count * each;
  }
  return kit;
}

/** What an entry of the store counts as. A kind without any entry was never counted: it is unknown, not none. */
const COUNTED_AS: Record<KitPiece['kind'], { piece: keyof KitAtHand; each: number }> = {
  pole: { piece: 'poles', each: 1 },
  'stand-pair': { piece: 'stands', each: 2 },
  cup: { piece: 'cups', each: 1 },
  block: { piece: 'blocks', each: 1 },
  cone: { piece: 'cones', each: 1 },
  filler: { piece: 'fillers', each: 1 },
  marker: { piece: 'markers', each: 1 },
};

const leanRad = ({ leanDeg }: Pick<YardRules, 'leanDeg'>) => (leanDeg === null ? null : (leanDeg * Math.PI) / 180);

/**
 * What a plan of a yard lies on.
 * @param rules - how the yard's horses turn; left out the usual way
 */
export function planGround(
  name: string,
  arena: NamedArena,
  horses: readonly Horse[],
  kit: KitAtHand | null,
  rules?: Pick<YardRules, 'leanDeg'>,
): PlanGround {
  const { marks } = arena;
  const fall = marks.fall && { headingRad: headingFromFacing(marks.fall.facingDeg), percent: marks.fall.percent };
  const lean = rules ? { leanRad: leanRad(rules) } : {};
  return { name, arena: arenaOf(arena), fall, kit, ...lean, horses: planHorses(horses) };
}
