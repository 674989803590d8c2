import type { PointM } from '../geometry/pointM';
import type { Arena } from './arena';

/** What is written at a side of an arena without letters, at its middle: the words that everything measured there uses. */
export type SideMark = { words: 'near' | 'far' | 'left' | 'right'; at: PointM };

/** The sides of an arena that has no letters to tell them by; none where it has. */
export function sideMarks({ widthM, lengthM, letters }: Arena): SideMark[] {
  if (letters !== 'none') return [];
  return [
    { words: 'near', at: { xM: widthM / 2, yM: 0 } },
    { words: 'far', at: { xM: widthM / 2, yM: lengthM } },
    { words: 'left', at: { xM: 0, yM: lengthM / 2 } },
    { words: 'right', at: { xM: widthM, yM: lengthM / 2 } },
  ];
}
