import { DISCLAIMER, type PairSummary } from '@/core';
import { PdfPaper, type PaperSize } from './pdfPaper';

export type LessonSheet = {
  name: string;
  /** On the yard's clock, with the arena. */
  when: string;
  stages: { name: string; line: string }[];
  pairs: { horse: string; rider: string; work: string; summary: PairSummary }[];
};

/** The sheet of a lesson: what was planned, and pair by pair what was ridden. */
export function lessonPdf(sheet: LessonSheet, size: PaperSize): Promise<Buffer> {
  const paper = begun(sheet, size, sheet.name);
  paper.line({ text: 'Stages', bold: true, sizePt: 12 }, 0.5);
  sheet.stages.forEach(({ name, line }, index) => paper.line({ text: `${index + 1}. ${name}. ${line}` }, 0.6));
  for (const pair of sheet.pairs) pairPart(paper, pair);
  paper.line({ text: DISCLAIMER, sizePt: 8.5 });
  return paper.bytes();
}

/** A rider's own sheet: what you rode, how, and what is next. */
export function riderPdf(sheet: LessonSheet, pair: LessonSheet['pairs'][number], size: PaperSize): Promise<Buffer> {
  const paper = begun(sheet, size, `${pair.rider} with ${pair.horse}`);
  paper.line({ text: sheet.name }, 1);
  pairPart(paper, pair);
  paper.line({ text: DISCLAIMER, sizePt: 8.5 });
  return paper.bytes();
}

function begun({ when }: LessonSheet, size: PaperSize, title: string): PdfPaper {
  const paper = new PdfPaper(size, title);
  paper.line({ text: title, bold: true, sizePt: 18 }, 0.5);
  paper.line({ text: when, grey: true }, 2);
  return paper;
}

function pairPart(paper: PdfPaper, { horse, rider, work, summary }: LessonSheet['pairs'][number]): void {
  if (!paper.fits(30)) paper.newPage();
  paper.rule();
  paper.line({ text: `${horse} with ${rider}`, bold: true, sizePt: 13 }, 0.3);
  paper.line({ text: work, grey: true }, 1);
  if (summary.stages.length === 0) paper.line({ text: 'Nothing was recorded.' });
  for (const { stage, left, right, clean, passes } of summary.stages) {
    paper.line({ text: `${stage}: ${left} on the left rein, ${right} on the right, ${clean} clean`, bold: true }, 0.4);
    passes.forEach((words, index) => paper.line({ text: `${index + 1}. ${words}`, sizePt: 9.5 }, 0.2));
    paper.yMm += 1;
  }
  for (const words of summary.next) paper.line({ text: `Next: ${words}` }, 0.5);
  paper.yMm += 1.5;
}
