import { sheetLabels, type Layout, type SettingSheet } from '@/core';
import type { PrintedSheet } from '../printedSheet';
import { stepPicture } from '../stepPicture';
import { MARGIN_MM, type PdfPaper } from './pdfPaper';
import { pdfShapes } from './pdfShapes';

const ACROSS = 2;
const GAP_MM = 5;
/** Room for a number and a name over each picture. */
const HEAD_MM = 6;

/** A picture of every step, two beside each other, in the order of the work. */
export function picturePages(
  paper: PdfPaper,
  { layout, whole, sheet, printed }: { layout: Layout; whole: Layout; sheet: SettingSheet; printed: PrintedSheet },
): void {
  const numberOf = sheetLabels(whole, layout);
  const steps = [
    ...sheet.pegs.map((set, index) => ({ set, ...printed.pegs[index]!, number: `Peg ${set.peg}`, name: '' })),
    ...sheet.pieces.map((set, index) => ({ set, ...printed.pieces[index]! })),
  ];
  const widthMm = (paper.innerWidthMm - GAP_MM * (ACROSS - 1)) / ACROSS;
  paper.newPage();
  paper.line({ text: 'Step by step', bold: true, sizePt: 16 }, 2);
  let rowMm = 0;
  steps.forEach(({ set, lines, number, name }, index) => {
    const { box, shapes } = stepPicture(layout, sheet, { set, lines, numberOf });
    const heightMm = (widthMm * box.heightM) / box.widthM + HEAD_MM + GAP_MM;
    const column = index % ACROSS;
    if (column === 0) {
      paper.yMm += rowMm;
      rowMm = 0;
      if (!paper.fits(heightMm)) paper.newPage();
    }
    const xMm = column * (widthMm + GAP_MM);
    paper.words({ text: `${number}  ${name}`.trim(), bold: true, sizePt: 11 }, xMm, paper.yMm, widthMm);
    pdfShapes(paper, shapes, {
      ...{ xMm: MARGIN_MM + xMm, yMm: paper.yMm + HEAD_MM, mmPerM: widthMm / box.widthM },
      ...{ box, isClipped: true },
    });
    rowMm = Math.max(rowMm, heightMm);
  });
  paper.yMm += rowMm;
}
