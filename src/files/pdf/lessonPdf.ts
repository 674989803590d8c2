import { DISCLAIMER, type PairSummary, type StageSummary } from '@/core';
import { PdfPaper, type PaperSize } from './pdfPaper';

export type LessonSheet = {
  name: string;
  /** On the yard's clock, with the arena. */
  when: string;
  stages: { name: string; line: string }[];
  pairs: { horse: string; rider: string; work: string; summary: PairSummary }[];
  /** What was put right afterwards, in a sentence; null where nothing was. */
  putRight: string | null;
};

/** The sheet of a lesson: what was planned, and pair by pair what was ridden. */
export function lessonPdf(sheet: LessonSheet, size: PaperSize): Promise<Buffer> {
  const paper = begun(sheet, size, sheet.name);
  stagesPart(paper, sheet);
  for (const pair of sheet.pairs) {
    if (!paper.fits(30)) paper.newPage();
    paper.rule();
    paper.line({ text: `${pair.horse} with ${pair.rider}`, bold: true, sizePt: 13 }, 0.3);
    pairPart(paper, pair);
  }
  if (sheet.putRight !== null) paper.line({ text: sheet.putRight, grey: true }, 1);
  paper.line({ text: DISCLAIMER, sizePt: 8.5 });
  return paper.bytes();
}

/** A rider's own sheet: what is planned until something is ridden; then what you rode, how, and what is next. */
export function riderPdf(sheet: LessonSheet, pair: LessonSheet['pairs'][number], size: PaperSize): Promise<Buffer> {
  const paper = begun(sheet, size, `${pair.rider} with ${pair.horse}`);
  paper.line({ text: sheet.name }, 1);
  paper.rule();
  if (pair.summary.stages.length === 0) stagesPart(paper, sheet);
  else {
    paper.line({ text: 'What you rode', bold: true, sizePt: 12 }, 0.5);
    pairPart(paper, pair);
  }
  paper.line({ text: DISCLAIMER, sizePt: 8.5 });
  return paper.bytes();
}

function stagesPart(paper: PdfPaper, { stages }: LessonSheet): void {
  paper.line({ text: 'Stages', bold: true, sizePt: 12 }, 0.5);
  stages.forEach(({ name, line }, index) => paper.line({ text: `${index + 1}. ${name}. ${line}` }, 0.6));
  paper.yMm += 1.5;
}

function begun({ when }: LessonSheet, size: PaperSize, title: string): PdfPaper {
  const paper = new PdfPaper(size, title);
  paper.line({ text: title, bold: true, sizePt: 18 }, 0.5);
  paper.line({ text: when, grey: true }, 2);
  return paper;
}

function reinsRidden({ left, right, without }: StageSummary): string {
  const onReins = `${left} on the left rein, ${right} on the right`;
  if (without === 0) return onReins;
  const changing = `${without} ridden`;
  return left + right === 0 ? changing : `${onReins}, ${without} where the rein changes`;
}

function pairPart(paper: PdfPaper, { work, summary }: LessonSheet['pairs'][number]): void {
  if (summary.stages.length === 0) return paper.line({ text: 'Nothing was recorded.' }, 1.5);
  paper.line({ text: work, grey: true }, 1);
  for (const one of summary.stages) {
    const { stage, question, clean, passes } = one;
    const asked = question === stage ? stage : `${stage}, ${question}`;
    paper.line({ text: `${asked}: ${reinsRidden(one)}, ${clean} clean`, bold: true }, 0.4);
    passes.forEach((words, index) => paper.line({ text: `${index + 1}. ${words}`, sizePt: 9.5 }, 0.2));
    paper.yMm += 1;
  }
  for (const words of summary.next) paper.line({ text: `Next: ${words}` }, 0.5);
  paper.yMm += 1.5;
}
