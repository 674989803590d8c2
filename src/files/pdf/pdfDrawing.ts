import type { Layout, LengthUnit, ReckonedTrack } from '@/core';
import { drawingSheet, layoutShapes, type ShapesWish } from '../layoutShapes';
import { mmPerM, paperScale } from '../paperScale';
import { MARGIN_MM, type PdfPaper } from './pdfPaper';
import { pdfShapes } from './pdfShapes';

/** What a drawing may take of a page, so that what is written of it still fits there. */
const MOST_HEIGHT_MM = 110;
/** Letters are so high on paper. */
const LETTER_MM = 3;

export type DrawingWish = {
  numbers: ReadonlyMap<string, number | string>;
  unit: LengthUnit;
  /** What it may take of the page. */
  heightMm?: number;
  arrows?: boolean;
  marks?: ShapesWish['marks'];
};

/** The largest scale that is easy to measure with a ruler and lets a drawing fit, and how high it is at that, mm. */
export function pdfDrawingScale(
  paper: PdfPaper,
  layout: Pick<Layout, 'arena'>,
  wish: DrawingWish,
): { scale: number; heightMm: number } {
  const space = { widthMm: paper.innerWidthMm, heightMm: wish.heightMm ?? MOST_HEIGHT_MM };
  // Smaller paper letters are larger on the sand: choose a scale at which the drawing fits with its own letters.
  const sheetAt = (scale: number) => drawingSheet(layout, shapesWish(wish, scale));
  let scale = paperScale(sheetAt(100), space);
  while (paperScale(sheetAt(scale), space) > scale) scale = paperScale(sheetAt(scale), space);
  return { scale, heightMm: sheetAt(scale).heightM * mmPerM(scale) };
}

const shapesWish = ({ numbers, unit, arrows = false, marks }: DrawingWish, scale: number): ShapesWish => ({
  ...{ lies: 'along', numbers, unit, arrows, textM: LETTER_MM / mmPerM(scale) },
  ...(marks ? { marks } : {}),
});

/** The layout to a scale that is easy to measure with a ruler; returns the scale, 1 : so many. */
export function pdfDrawing(
  paper: PdfPaper,
  layout: Layout,
  tracks: readonly ReckonedTrack[],
  wish: DrawingWish,
): number {
  const { scale, heightMm } = pdfDrawingScale(paper, layout, wish);
  if (!paper.fits(heightMm)) paper.newPage();
  const shapes = shapesWish(wish, scale);
  pdfShapes(paper, layoutShapes(layout, tracks, shapes), {
    ...{ xMm: MARGIN_MM, yMm: paper.yMm, mmPerM: mmPerM(scale) },
    ...{ box: drawingSheet(layout, shapes), isClipped: false },
  });
  paper.yMm += heightMm;
  return scale;
}
