import { distanceM, type PointM } from '../geometry/pointM';
import type { Arena } from './arena';
import { arenaLetters } from './arenaLetters';

/** A letter this near names a place, metres. */
const NEAR_LETTER_M = 5;

/** A place on the sand in words: by the nearest letter, else by how far across and up it lies. */
export function placeWords(arena: Arena, at: PointM): string {
  const letters = arenaLetters(arena)
    .map(letter => ({ name: letter.letter, offM: distanceM(letter.at, at) }))
    .sort((a, b) => a.offM - b.offM);
  const [nearest] = letters;
  if (nearest && nearest.offM <= NEAR_LETTER_M) return `near ${nearest.name}`;
  const fromLeftM = Math.round(at.xM);
  const fromRightM = Math.round(arena.widthM - at.xM);
  const across = fromLeftM <= fromRightM ? `${fromLeftM} m from the left wall` : `${fromRightM} m from the right wall`;
  return `${across}, ${Math.round(at.yM)} m up from the A end`;
}
