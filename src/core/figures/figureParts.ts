import type { Arena } from '../arena/arena';
import type { Chain } from '../geometry/chain';
import type { TrackGait } from '../layout/trackGait';
import type { PlannedFigure } from './figure';
import { figureWords } from './figureWords';
import { rideFigure } from './rideFigure';

/** A loop of a serpentine or a circle of an eight: what one says of it, and where it is ridden. */
export type FigurePartDrawn = { part: number; words: string; chain: Chain };

/** What the parts of a figure are called that is marked part by part. */
const PART_NAMES: Readonly<Partial<Record<PlannedFigure['figure']['kind'], string>>> = {
  serpentine: 'loop',
  eight: 'circle',
};

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];

/** The parts of a figure in the order ridden, counted from 1; none where it is marked as a whole. */
export function figureParts(arena: Arena, planned: PlannedFigure, gait: TrackGait): FigurePartDrawn[] {
  if (!(planned.figure.kind in PART_NAMES)) return [];
  // A loop that is yielded out of is one loop: without the yield it is one piece.
  const figure = planned.figure.kind === 'serpentine' ? { ...planned.figure, yieldM: 0 } : planned.figure;
  const ride = rideFigure({ ...planned, figure, parts: [] }, gait, arena);
  if (!ride.ok) return [];
  return ride.pieces.flatMap((piece, index) =>
    piece.kind === 'stretch' ? [{ part: index + 1, words: partWords(planned, index + 1), chain: piece.chain }] : [],
  );
}

/** A part of a figure in a sentence: "the second loop"; the figure itself where it has no parts. */
export function partWords(planned: PlannedFigure, part: number): string {
  const name = PART_NAMES[planned.figure.kind];
  return name === undefined ? figureWords(planned) : `the ${ORDINALS[part - 1] ?? `${part}th`} ${name}`;
}
