import type { Layout, LengthUnit, ReckonedTrack } from '@/core';
import { drawingSheet, layoutShapes, type ShapesWish } from '../layoutShapes';
import { mmPerM, paperScale } from '../paperScale';
import { MARGIN_MM, type PdfPaper } from './pdfPaper';
import { pdfShapes } from './pdfShapes';

/** What a drawing may take of a page, so that what is written of it still fits there. */
const MOST_HEIGHT_MM = 110;
/** Letters are so high on paper. */
const LETTER_MM = 3;

/** The layout to a scale that is easy to measure with a ruler; returns the scale, 1 : so many. */
export function pdfDrawing(
  paper: PdfPaper,
  layout: Layout,
  tracks: readonly ReckonedTrack[],
  numbers: ReadonlyMap<string, number | string>,
  unit: LengthUnit,
  { heightMm = MOST_HEIGHT_MM, arrows = false }: { heightMm?: number; arrows?: boolean } = {},
): number {
  const space = { widthMm: paper.innerWidthMm, heightMm };
  const textM = (scale: number) => LETTER_MM / mmPerM(scale);
  const wish = (scale: number): ShapesWish => ({ lies: 'along', numbers, unit, arrows, textM: textM(scale) });
  // Smaller paper letters are larger on the sand: choose a scale at which the drawing fits with its own letters.
  let scale = paperScale(drawingSheet(layout, wish(100)), space);
  while (paperScale(drawingSheet(layout, wish(scale)), space) > scale)
    scale = paperScale(drawingSheet(layout, wish(scale)), space);
  const sheet = drawingSheet(layout, wish(scale));
  if (!paper.fits(sheet.heightM * mmPerM(scale))) paper.newPage();
  pdfShapes(paper, layoutShapes(layout, tracks, wish(scale)), {
    ...{ xMm: MARGIN_MM, yMm: paper.yMm, mmPerM: mmPerM(scale) },
    ...{ box: sheet, isClipped: false },
  });
  paper.yMm += sheet.heightM * mmPerM(scale);
  return scale;
}
