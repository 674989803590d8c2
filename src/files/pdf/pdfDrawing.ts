import type { Layout, LengthUnit, ReckonedTrack } from '@/core';
import { drawingSheet, layoutShapes, type ShapesWish } from '../layoutShapes';
import { mmPerM, paperScale } from '../paperScale';
import { MARGIN_MM, PT_PER_MM, type PdfPaper } from './pdfPaper';

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
  const { doc } = paper;
  const ptPerM = mmPerM(scale) * PT_PER_MM;
  doc.save();
  doc.translate(MARGIN_MM * PT_PER_MM - sheet.x * ptPerM, paper.yMm * PT_PER_MM - sheet.y * ptPerM);
  for (const shape of layoutShapes(layout, tracks, wish(scale))) {
    if (shape.kind === 'path') {
      doc.save();
      doc.scale(ptPerM);
      doc.path(shape.d).lineWidth(shape.strokeM);
      if (shape.dashM !== null) doc.dash(shape.dashM, { space: shape.dashM });
      if (shape.fill !== null && shape.stroke !== null) doc.fillAndStroke(shape.fill, shape.stroke);
      else if (shape.fill !== null) doc.fill(shape.fill);
      else doc.stroke(shape.stroke ?? '#000');
      doc.restore();
    } else {
      // The letters of an arena and the numbers of pieces are in the first alphabet.
      doc
        .font(shape.bold ? 'latinBold' : 'latin')
        .fontSize(shape.sizeM * ptPerM)
        .fillColor('#000000');
      const widthPt = doc.widthOfString(shape.text);
      const topPt = shape.y * ptPerM - shape.sizeM * ptPerM * 0.6;
      doc.text(shape.text, shape.x * ptPerM - widthPt / 2, topPt, { lineBreak: false });
    }
  }
  doc.restore();
  paper.yMm += sheet.heightM * mmPerM(scale);
  return scale;
}
