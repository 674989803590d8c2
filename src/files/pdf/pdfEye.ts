import type { EyePicture } from '@/core';
import { EYE_EDGE_SOLID, EYE_GRID_SOLID, EYE_INK, EYE_SAND, EYE_SKY, hexInLight } from '../eyeColours';
import { MARGIN_MM, PT_PER_MM, type PdfPaper } from './pdfPaper';

/** What a rider sees, so high on the page; it stands on the left and leaves the paper below it. */
export function pdfEye(paper: PdfPaper, picture: EyePicture, aspect: number, heightMm: number): void {
  if (!paper.fits(heightMm)) paper.newPage();
  const { doc } = paper;
  const [left, top] = [MARGIN_MM * PT_PER_MM, paper.yMm * PT_PER_MM];
  const [wide, high] = [heightMm * aspect * PT_PER_MM, heightMm * PT_PER_MM];
  const point = ({ x, y }: { x: number; y: number }): [number, number] => [left + x * wide, top + y * high];
  const horizon = Math.min(1, Math.max(0, picture.horizon)) * high;
  doc.save().rect(left, top, wide, high).clip();
  doc.rect(left, top, wide, horizon).fill(EYE_SKY[1]);
  doc.rect(left, top + horizon, wide, high - horizon).fill(EYE_SAND[1]);
  doc.lineWidth(0.3);
  for (const drawn of picture.drawn) {
    if (drawn.kind === 'word') {
      const sizePt = drawn.size * high;
      const [x, y] = point(drawn.at);
      doc.font('latinBold').fontSize(sizePt).fillColor(EYE_INK);
      doc.text(drawn.words, x - wide / 2, y - sizePt / 2, { width: wide, align: 'center', lineBreak: false });
    } else if (drawn.kind === 'line') {
      const [from, to] = drawn.points;
      doc
        .moveTo(...point(from))
        .lineTo(...point(to))
        .stroke(EYE_GRID_SOLID);
    } else {
      doc.polygon(...drawn.points.map(point));
      const fill = hexInLight(drawn.tone, drawn.light);
      doc.fillAndStroke(fill, drawn.tone === 'wall' ? fill : EYE_EDGE_SOLID);
    }
  }
  doc.restore();
  paper.yMm += heightMm + 1;
}
