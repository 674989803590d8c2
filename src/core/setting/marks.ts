import type { Arena, Wall } from '../arena/arena';
import type { PointM } from '../geometry/pointM';
import { atWall, isWallThere, pointsOnWall, type KnownPoint } from './knownPoint';
import { freeMeasure } from './measure';
import type { Way } from './survey';

/** Longer tapes are rare (common practice, no source): what is farther is taped from something that stands. */
export const LONGEST_TAPE_M = 30;
/** Squared in farther than this, a piece has no check within a tape's length. */
export const FARTHEST_IN_M = 26;
/** So far apart marks are put where nothing else is within a tape, metres. */
const MARK_EVERY_M = 25;

/** A peg that is put in only to measure from: on a wall between two corners that are far apart, or out on the sand. */
export type Mark = { peg: string; at: PointM; way: Way };

const LETTER_OF: Record<Wall, string> = { left: 'L', right: 'R', near: 'N', far: 'F' };
const WALLS: readonly Wall[] = ['left', 'right', 'near', 'far'];

/** The marks that an arena may need, in an order in which each is measured from what was there before. */
export function arenaMarks(arena: Arena): Mark[] {
  return [...WALLS.flatMap(wall => wallMarks(arena, wall)), ...innerMarks(arena)];
}

/** The points of a wall and its marks with how far along they lie, in order. */
export function markedWall(arena: Arena, wall: Wall): { point: KnownPoint; alongM: number }[] {
  return [...pointsOnWall(arena, wall), ...placesBetween(arena, wall)].sort((a, b) => a.alongM - b.alongM);
}

function placesBetween(arena: Arena, wall: Wall): { point: KnownPoint; alongM: number }[] {
  const points = pointsOnWall(arena, wall);
  return points.slice(1).flatMap(({ alongM: toM }, index) => {
    const fromM = points[index]!.alongM;
    if (toM - fromM <= LONGEST_TAPE_M) return [];
    const count = Math.ceil((toM - fromM) / MARK_EVERY_M) - 1;
    const there = Array.from({ length: count }, (_, i) => fromM + (i + 1) * MARK_EVERY_M);
    return there
      .filter(alongM => isWallThere(arena, wall, alongM))
      .map(alongM => ({
        point: { kind: 'peg' as const, peg: `${LETTER_OF[wall]}${Math.round(alongM)}` },
        alongM,
      }));
  });
}

function wallMarks(arena: Arena, wall: Wall): Mark[] {
  const all = markedWall(arena, wall);
  const last = all[all.length - 1];
  if (!last) return [];
  return all.flatMap(({ point, alongM }, index) => {
    if (point.kind !== 'peg') return [];
    const before = all[index - 1]!;
    const [along, inwards] = [`peg ${point.peg}|along`, `peg ${point.peg}|in`];
    const at = atWall(arena, wall, { alongM, inM: 0 });
    const placing = { how: 'wall' as const, wall, from: before.point, pastM: 0, towards: last.point, along, inwards };
    const measures = [freeMeasure(along, alongM - before.alongM), freeMeasure(inwards, 0)];
    return [{ peg: point.peg, at, way: { points: [{ point, at, placing }], measures } }];
  });
}

/**
 * Marks out on the sand where it is so wide and long that some of it lies farther than a tape from every wall: in rows
 * across it, each in line with a mark on the left wall and the one opposite.
 */
function innerMarks(arena: Arena): Mark[] {
  if (Math.min(arena.widthM, arena.lengthM) <= 2 * FARTHEST_IN_M) return [];
  const corner = pointsOnWall(arena, 'left')[0]?.point;
  if (!corner) return [];
  return wallMarks(arena, 'left').flatMap(({ peg: rowPeg, at }) => {
    const count = Math.ceil((arena.widthM - LONGEST_TAPE_M) / MARK_EVERY_M);
    return Array.from({ length: count }, (_, index): Mark => {
      const xM = (index + 1) * MARK_EVERY_M;
      const name = (aboutM: number) => `${rowPeg}/${Math.round(aboutM)}`;
      const peg = name(xM);
      const [along, inwards] = [`peg ${peg}|along`, `peg ${peg}|in`];
      const point: KnownPoint = { kind: 'peg', peg };
      const place = { xM, yM: at.yM };
      if (index === 0) {
        const from: KnownPoint = { kind: 'peg', peg: rowPeg };
        const placing = {
          how: 'wall' as const,
          wall: 'left' as const,
          from,
          pastM: 0,
          towards: corner,
          along,
          inwards,
        };
        const measures = [freeMeasure(along, 0), freeMeasure(inwards, MARK_EVERY_M)];
        return { peg, at: place, way: { points: [{ point, at: place, placing }], measures } };
      }
      const from: KnownPoint = { kind: 'peg', peg: name(xM - MARK_EVERY_M) };
      const to: KnownPoint = { kind: 'peg', peg: rowPeg.replace('L', 'R') };
      const placing = { how: 'line' as const, from, to, along, off: null };
      return {
        peg,
        at: place,
        way: { points: [{ point, at: place, placing }], measures: [freeMeasure(along, MARK_EVERY_M)] },
      };
    });
  });
}
