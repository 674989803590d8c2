import type { PointM } from '../geometry/pointM';

export type ArenaLetters = '20x60' | '20x40' | 'none';

/** A rectangle of sand. `widthM` runs along x (the short sides), `lengthM` along y. */
export type Arena = { widthM: number; lengthM: number; letters: ArenaLetters };

/** The four walls, named as seen from the near short side, where A is. */
export type Wall = 'near' | 'far' | 'left' | 'right';

export const MIN_ARENA_SIDE_M = 5;
export const MAX_ARENA_SIDE_M = 200;

/** Published size for each set of letters (see arenaLetters). */
const LETTERED_SIZE: Record<Exclude<ArenaLetters, 'none'>, { widthM: number; lengthM: number }> = {
  '20x60': { widthM: 20, lengthM: 60 },
  '20x40': { widthM: 20, lengthM: 40 },
};

/**
 * Why an arena cannot be, or null if it can: a side outside 5 to 200 m, or letters on sand of another size.
 */
export function arenaFault(arena: Arena): { field: 'widthM' | 'lengthM' | 'letters'; reason: string } | null {
  for (const field of ['widthM', 'lengthM'] as const) {
    const sideM = arena[field];
    if (!(sideM >= MIN_ARENA_SIDE_M && sideM <= MAX_ARENA_SIDE_M))
      return { field, reason: `A side of the arena is ${MIN_ARENA_SIDE_M} to ${MAX_ARENA_SIDE_M} m long.` };
  }
  if (arena.letters === 'none') return null;
  const size = LETTERED_SIZE[arena.letters];
  if (arena.widthM === size.widthM && arena.lengthM === size.lengthM) return null;
  return {
    field: 'letters',
    reason: `These letters belong to an arena of ${size.widthM} × ${size.lengthM} m: choose “none” for this size.`,
  };
}

/** Whether a point lies on the sand, at least `clearanceM` from every wall. */
export function isInsideArena(arena: Arena, point: PointM, clearanceM = 0): boolean {
  return (
    point.xM >= clearanceM &&
    point.yM >= clearanceM &&
    point.xM <= arena.widthM - clearanceM &&
    point.yM <= arena.lengthM - clearanceM
  );
}
