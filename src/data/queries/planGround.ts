import { headingFromFacing, layoutHorse, type Kit, type PlanGround, type PlanHorse } from '@/core';
import type { NamedArena } from './arenas';
import type { Horse } from './horses';
import type { KitPiece } from './kit';

/** A horse of the yard as layouts have it: held by its id, so that two may bear one name. */
export const planHorse: (horse: Horse) => PlanHorse = layoutHorse;

/** The yard's horses as plans have them. */
export function planHorses(horses: readonly Horse[]): PlanHorse[] {
  return horses.map(planHorse);
}

/** What the yard has in its store, by kind; null where nothing was ever entered. */
export function kitCounts(pieces: readonly KitPiece[]): Kit | null {
  const there = pieces.filter(({ archived }) => !archived);
  if (there.length === 0) return null;
  const count = (kind: KitPiece['kind']) =>
    there.filter(piece => piece.kind === kind).reduce((sum, piece) => sum + piece.count, 0);
  return {
    poles: count('pole'),
    stands: count('stand-pair') * 2,
    cups: count('cup'),
    blocks: count('block'),
    cones: count('cone'),
    fillers: count('filler'),
    markers: count('marker'),
  };
}

/** What a plan of a yard lies on. */
export function planGround(
  name: string,
  { widthM, lengthM, letters, marks }: NamedArena,
  horses: readonly Horse[],
  kit: Kit | null,
): PlanGround {
  const fall = marks.fall && { headingRad: headingFromFacing(marks.fall.facingDeg), percent: marks.fall.percent };
  return { name, arena: { widthM, lengthM, letters }, fall, kit, horses: planHorses(horses) };
}
