import type { Arena } from '../arena/arena';
import { arenaLetters } from '../arena/arenaLetters';
import type { Pose } from '../geometry/pose';
import type { Rein } from '../track/rein';
import type { Figure } from './figure';

/** The way one rides along each wall on the left rein. */
const LEFT_REIN_RAD = { near: 0, right: Math.PI / 2, far: Math.PI, left: (3 * Math.PI) / 2 } as const;

type WallName = keyof typeof LEFT_REIN_RAD;

/** On the track along a wall, `alongM` from its end nearer to the origin, riding on a rein. */
export function wallPose(arena: Arena, wall: WallName, alongM: number, rein: Rein): Pose {
  const headingRad = LEFT_REIN_RAD[wall] + (rein === 'left' ? 0 : Math.PI);
  switch (wall) {
    case 'near':
      return { at: { xM: alongM, yM: 0 }, headingRad };
    case 'far':
      return { at: { xM: alongM, yM: arena.lengthM }, headingRad };
    case 'left':
      return { at: { xM: 0, yM: alongM }, headingRad };
    case 'right':
      return { at: { xM: arena.widthM, yM: alongM }, headingRad };
  }
}

/** At a letter on a wall, riding along it on a rein; null for a letter that the arena does not have on a wall. */
export function letterPose(arena: Arena, letter: string, rein: Rein): Pose | null {
  const found = arenaLetters(arena).find(candidate => candidate.letter === letter);
  if (!found) return null;
  const { xM, yM } = found.at;
  if (yM === 0) return wallPose(arena, 'near', xM, rein);
  if (yM === arena.lengthM) return wallPose(arena, 'far', xM, rein);
  if (xM === 0) return wallPose(arena, 'left', yM, rein);
  return xM === arena.widthM ? wallPose(arena, 'right', yM, rein) : null;
}

export const CHANGES_OF_REIN = ['diagonal', 'short-diagonal', 'centre-line', 'across', 'through-circle'] as const;
export type ChangeOfReinWay = (typeof CHANGES_OF_REIN)[number];

/** Common practice, no source: the corners are left to the horse, so a diagonal begins and ends this far from them. */
const CORNER_M = 6;

/** The usual changes of rein at their places: on the left rein from the right-hand long side, or from A. */
export function changeOfRein(arena: Arena, way: ChangeOfReinWay, rein: Rein, radiusM: number): Figure {
  const { widthM, lengthM } = arena;
  const [leaves, arrives] = rein === 'left' ? (['right', 'left'] as const) : (['left', 'right'] as const);
  const back: Rein = rein === 'left' ? 'right' : 'left';
  const figure = (start: Pose, end: Pose): Figure => ({ kind: 'change-rein', start, end, rein, radiusM });
  const middleM = widthM / 2;
  const out = rein === 'left' ? radiusM : -radiusM;
  switch (way) {
    case 'diagonal':
      return figure(wallPose(arena, leaves, CORNER_M, rein), wallPose(arena, arrives, lengthM - CORNER_M, back));
    case 'short-diagonal':
      return figure(wallPose(arena, leaves, CORNER_M, rein), wallPose(arena, arrives, lengthM / 2, back));
    case 'centre-line':
      return figure(wallPose(arena, 'near', middleM - out, rein), wallPose(arena, 'far', middleM + out, back));
    case 'across':
      return figure(
        wallPose(arena, leaves, lengthM / 2 - radiusM, rein),
        wallPose(arena, arrives, lengthM / 2 + radiusM, back),
      );
    case 'through-circle':
      // Two half circles of half the circle's size, from A across a circle as wide as the sand.
      return {
        kind: 'change-rein',
        start: wallPose(arena, 'near', middleM, rein),
        end: { at: { xM: middleM, yM: Math.min(widthM, lengthM) }, headingRad: rein === 'left' ? 0 : Math.PI },
        rein,
        radiusM: Math.min(widthM, lengthM) / 4,
      };
  }
}

/**
 * A change of rein from one letter of the wall to another: off the wall on the rein, onto it on the other. Null where the
 * arena does not have both.
 */
export function changeBetween(
  arena: Arena,
  { from, to }: { from: string; to: string },
  rein: Rein,
  radiusM: number,
): Figure | null {
  const start = letterPose(arena, from, rein);
  const end = letterPose(arena, to, rein === 'left' ? 'right' : 'left');
  return start && end ? { kind: 'change-rein', start, end, rein, radiusM } : null;
}
