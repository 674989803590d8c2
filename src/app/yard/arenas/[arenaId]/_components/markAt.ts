import { newId } from '@/components/newId';
import { arenaWalls, distanceM, nearestBetween, type PointM } from '@/core';
import type { NamedArena } from '@/data/queries/arenas';
import { type ArenaMarks } from '@/files/arenaMarks';

export type Tool = 'patch' | 'entrance' | 'home' | 'fall' | 'thing' | 'letter' | 'corner';

const NEW_PATCH_RADIUS_M = 2;
const USUAL_FALL_PERCENT = 1.5;

const NEW_THING_RADIUS_M = 0.3;
const LETTERS = [...'ABCDEFGHIKLMNPQRSTUVWXYZ'];

/** How large the sand is by its outline; as it was where it has none. */
export function sizeIn({ outline }: ArenaMarks, { widthM, lengthM }: NamedArena): { widthM: number; lengthM: number } {
  if (!outline) return { widthM, lengthM };
  return { widthM: Math.max(...outline.map(({ xM }) => xM)), lengthM: Math.max(...outline.map(({ yM }) => yM)) };
}

/** Where a mark goes that no finger placed: at the far end, a little inside. */
export const placeByKey = ({ widthM, lengthM }: NamedArena): PointM => ({ xM: widthM / 2, yM: lengthM - 3 });

const clamp = (value: number, most: number) => Math.round(Math.min(most, Math.max(0, value)) * 10) / 10;

/** The marks after a tap with a tool. */
export function marked(arena: NamedArena, marks: ArenaMarks, tool: Tool, tap: PointM): ArenaMarks {
  const at = { xM: clamp(tap.xM, arena.widthM), yM: clamp(tap.yM, arena.lengthM) };
  switch (tool) {
    case 'patch': {
      const patch = { id: newId(), at, radiusM: NEW_PATCH_RADIUS_M, words: 'bad ground' };
      return { ...marks, patches: [...marks.patches, patch] };
    }
    case 'thing': {
      const thing = { kind: 'pillar' as const, name: null, at, radiusM: NEW_THING_RADIUS_M };
      return { ...marks, standing: [...marks.standing, thing] };
    }
    case 'letter': {
      const taken = marks.ownLetters.map(one => one.letter);
      const letter = LETTERS.find(one => !taken.includes(one));
      return letter ? { ...marks, ownLetters: [...marks.ownLetters, { letter, at: atWall(arena, at) }] } : marks;
    }
    case 'corner':
      return marks;
    case 'entrance':
      return { ...marks, entrance: atWall(arena, at) };
    case 'home':
      return { ...marks, homeFacingDeg: facingFromMiddle(arena, at) };
    case 'fall':
      return {
        ...marks,
        fall: { facingDeg: facingFromMiddle(arena, at), percent: marks.fall?.percent ?? USUAL_FALL_PERCENT },
      };
  }
}

/** The nearest place on the walls. */
function atWall(arena: NamedArena, point: PointM): PointM {
  const places = arenaWalls(arena).map(([from, to]) => {
    const { xM, yM } = nearestBetween(from, to, point);
    return { xM: Math.round(xM * 100) / 100, yM: Math.round(yM * 100) / 100 };
  });
  return places.reduce((a, b) => (distanceM(b, point) < distanceM(a, point) ? b : a));
}

/** The way from the middle to a point, as a facing to the nearest five degrees. */
function facingFromMiddle({ widthM, lengthM }: NamedArena, { xM, yM }: PointM): number {
  const degrees = (Math.atan2(xM - widthM / 2, yM - lengthM / 2) * 180) / Math.PI;
  return (((Math.round(degrees / 5) * 5) % 360) + 360) % 360;
}
