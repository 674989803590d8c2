import type { PointM } from '../geometry/pointM';
import type { Arena } from './arena';

export type ArenaLetter = { letter: string; at: PointM };

type LetterRow = { yM: number; left: string; centre: string; right: string };

/** FEI Dressage Rules, plan of the arena (from memory): distances up from A, in metres. */
const ROWS_20X60: LetterRow[] = [
  { yM: 6, left: 'K', centre: 'D', right: 'F' },
  { yM: 18, left: 'V', centre: 'L', right: 'P' },
  { yM: 30, left: 'E', centre: 'X', right: 'B' },
  { yM: 42, left: 'S', centre: 'I', right: 'R' },
  { yM: 54, left: 'H', centre: 'G', right: 'M' },
];
const ROWS_20X40: LetterRow[] = [
  { yM: 6, left: 'K', centre: 'D', right: 'F' },
  { yM: 20, left: 'E', centre: 'X', right: 'B' },
  { yM: 34, left: 'H', centre: 'G', right: 'M' },
];

/**
 * The letters of an arena at their places: A and C in the middle of the short sides, the others on the long sides and
 * the centre line; letters of the yard’s own where those stand. An arena without letters has none.
 */
export function arenaLetters(arena: Arena): ArenaLetter[] {
  if (arena.ownLetters) return [...arena.ownLetters];
  if (arena.letters === 'none') return [];
  const rows = arena.letters === '20x60' ? ROWS_20X60 : ROWS_20X40;
  const middleM = arena.widthM / 2;
  return [
    { letter: 'A', at: { xM: middleM, yM: 0 } },
    ...rows.flatMap(row => [
      { letter: row.left, at: { xM: 0, yM: row.yM } },
      { letter: row.centre, at: { xM: middleM, yM: row.yM } },
      { letter: row.right, at: { xM: arena.widthM, yM: row.yM } },
    ]),
    { letter: 'C', at: { xM: middleM, yM: arena.lengthM } },
  ];
}
