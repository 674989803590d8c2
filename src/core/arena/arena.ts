import { distanceM, type PointM } from '../geometry/pointM';
import { toOutlineM } from './outline';

export type ArenaLetters = '20x60' | '20x40' | 'none';

/** Something that stands on the sand for good: a rider goes round it, and nothing is set there. */
export type ArenaThing = { kind: ArenaThingKind; name: string | null; at: PointM; radiusM: number };
export type ArenaThingKind = 'pillar' | 'tree' | 'gate' | 'mounting-block' | 'other';
export const ARENA_THING_KINDS: readonly ArenaThingKind[] = ['pillar', 'tree', 'gate', 'mounting-block', 'other'];

/**
 * Sand. `widthM` runs along x (the short sides), `lengthM` along y: a rectangle, or an outline of another shape within it.
 * Letters stand at their published places, or at places of the yard’s own.
 */
export type Arena = {
  widthM: number;
  lengthM: number;
  letters: ArenaLetters;
  /** Its corners round it, anticlockwise; left out for a rectangle. */
  outline?: readonly PointM[];
  /** Letters at places of the yard’s own; left out where they are the published ones, or none. */
  ownLetters?: readonly { letter: string; at: PointM }[];
  /** What stands there; left out where nothing does. */
  standing?: readonly ArenaThing[];
};

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

/** Whether a point lies on the sand, at least `clearanceM` from every wall and everything that stands there. */
export function isInsideArena(arena: Arena, point: PointM, clearanceM = 0): boolean {
  return toWallM(arena, point) >= clearanceM && toThingM(arena, point) >= clearanceM;
}

/** How far a point is from the nearest wall, metres; negative where it is off the sand. */
export function toWallM({ widthM, lengthM, outline }: Arena, point: PointM): number {
  if (outline) return toOutlineM(outline, point);
  return Math.min(point.xM, point.yM, widthM - point.xM, lengthM - point.yM);
}

/** How far a point is from the nearest thing that stands on the sand, metres; Infinity where none does. */
export function toThingM({ standing = [] }: Arena, point: PointM): number {
  return Math.min(Infinity, ...standing.map(({ at, radiusM }) => distanceM(at, point) - radiusM));
}
