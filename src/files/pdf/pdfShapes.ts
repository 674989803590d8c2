import type { Shape } from '../shape';
import { pdfRuns } from './pdfText';
import { PT_PER_MM, type PdfPaper } from './pdfPaper';

/** Where a drawing lies on a page, millimetres from the corner of the paper, and what of it is seen, metres of its own paper. */
export type PdfFrame = {
  xMm: number;
  yMm: number;
  mmPerM: number;
  box: { x: number; y: number; widthM: number; heightM: number };
  /** Nothing is drawn outside it. */
  isClipped: boolean;
};

/** Shapes on a page, to scale. */
export function pdfShapes(
  { doc }: PdfPaper,
  shapes: readonly Shape[],
  { xMm, yMm, mmPerM, box, isClipped }: PdfFrame,
): void {
  const ptPerM = mmPerM * PT_PER_MM;
  doc.save();
  if (isClipped) doc.rect(xMm * PT_PER_MM, yMm * PT_PER_MM, box.widthM * ptPerM, box.heightM * ptPerM).clip();
  doc.translate(xMm * PT_PER_MM - box.x * ptPerM, yMm * PT_PER_MM - box.y * ptPerM);
  for (const shape of shapes) {
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
      // The letters of an arena, numbers of pieces and lengths are in the first alphabet.
      doc
        .font(shape.bold ? 'latinBold' : 'latin')
        .fontSize(shape.sizeM * ptPerM)
        .fillColor('#000000');
      const text = pdfText(shape.text);
      const widthPt = doc.widthOfString(text);
      const topPt = shape.y * ptPerM - shape.sizeM * ptPerM * 0.6;
      doc.text(text, shape.x * ptPerM - widthPt / 2, topPt, { lineBreak: false });
    }
  }
  doc.restore();
}

/** As the face has it. */
const pdfText = (text: string) =>
  pdfRuns(text)
    .map(({ text: run }) => run)
    .join('');
