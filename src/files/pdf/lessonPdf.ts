import {
  aboutMinutes,
  askedEye,
  type AskedToShow,
  DISCLAIMER,
  formatReading,
  type GaitWords,
  type LengthUnit,
  type PairEnd,
  type StageSummary,
} from '@/core';
import { pdfEye } from './pdfEye';
import { pdfDrawing } from './pdfDrawing';
import { PdfPaper, type PaperSize } from './pdfPaper';

/** A question on a sheet; for the instructor with what each pair finds. */
export type SheetAsked = { show: AskedToShow; readings: { horse: string; legs: string[] }[] };

export type SheetStage = {
  name: string;
  /** "look early; half-seat; 2 times on each rein; 10 min". */
  line: string;
  asked: SheetAsked[];
  /** What to look at, and where to stand. */
  watch: string[];
};

export type SheetPair = {
  horse: string;
  rider: string;
  work: string;
  /** The stages as this pair is asked them: as planned, or where it rode, as it was asked. */
  asked: { stage: string; line: string; shows: AskedToShow[] }[];
  end: PairEnd;
  /** What the instructor says; empty where nothing was said. */
  words: string;
};

export type LessonSheet = {
  name: string;
  /** On the yard's clock, with the arena. */
  when: string;
  unit: LengthUnit;
  /** What the yard calls the gaits. */
  gaitWords: GaitWords;
  stages: SheetStage[];
  /** What is looked at before anybody rides. */
  cautions: string[];
  pairs: SheetPair[];
  /** What was put right afterwards, in a sentence; null where nothing was. */
  putRight: string | null;
};

/** The sheet of a lesson: stage by stage what is asked, what to watch, what each pair finds; and what was ridden. */
export function lessonPdf(sheet: LessonSheet, size: PaperSize): Promise<Buffer> {
  const paper = begun(sheet, size, sheet.name);
  const drawings = new Drawings(paper, sheet.unit);
  sheet.stages.forEach((stage, index) => stagePart(paper, stage, index + 1, drawings));
  if (sheet.cautions.length > 0) heading(paper, 'Before anybody rides');
  for (const caution of sheet.cautions) paper.line({ text: caution, sizePt: 9.5 }, 0.5);
  const rode = sheet.pairs.filter(({ end }) => end.summary.stages.length > 0);
  for (const pair of rode.length > 0 ? sheet.pairs : []) {
    if (!paper.fits(30)) paper.newPage();
    paper.rule();
    paper.line({ text: `${pair.horse} with ${pair.rider}`, bold: true, sizePt: 13 }, 0.3);
    riddenPart(paper, pair);
  }
  if (sheet.putRight !== null) paper.line({ text: sheet.putRight, grey: true }, 1);
  paper.line({ text: DISCLAIMER, sizePt: 8.5 });
  return paper.bytes();
}

/** A rider's own sheet: the course with its numbers, distances and counts for this horse; afterwards what was, and what comes. */
export function riderPdf(sheet: LessonSheet, pair: SheetPair, size: PaperSize): Promise<Buffer> {
  const paper = begun(sheet, size, `${pair.rider} with ${pair.horse}`);
  paper.line({ text: sheet.name, bold: true, sizePt: 12 }, 1);
  const hasRidden = pair.end.summary.stages.length > 0;
  if (pair.words !== '') {
    heading(paper, 'A word from your instructor');
    for (const words of pair.words.split(/\n+/)) paper.line({ text: words, sizePt: 11 }, 0.8);
  }
  if (hasRidden) {
    heading(paper, 'What you rode');
    endPart(paper, pair);
  }
  heading(paper, hasRidden ? 'What you were asked' : 'What you will be asked');
  const drawings = new Drawings(paper, sheet.unit, true);
  for (const { stage, line, shows } of pair.asked) {
    if (!paper.fits(20)) paper.newPage();
    paper.line({ text: stage, bold: true, sizePt: 11 }, 0.3);
    if (line !== '') paper.line({ text: line, grey: true }, 0.6);
    for (const show of shows) {
      if (show.words !== stage) paper.line({ text: show.words }, 0.6);
      drawings.draw(show);
      legsPart(paper, show, sheet.unit);
    }
    paper.yMm += 1.5;
  }
  if (hasRidden) {
    heading(paper, 'Pass by pass');
    passesPart(paper, pair);
  }
  paper.line({ text: DISCLAIMER, sizePt: 8.5 });
  return paper.bytes();
}

/** Each drawing is there once: where the same is asked again, it is the one above. */
class Drawings {
  private readonly drawn = new Set<string>();

  constructor(
    private readonly paper: PdfPaper,
    private readonly unit: LengthUnit,
    /** A rider’s own sheet has the line from the saddle too. */
    private readonly forRider = false,
  ) {}

  draw(show: AskedToShow): void {
    const { layout, track, labels } = show;
    const { items, tracks } = layout;
    const name = JSON.stringify([items, tracks.map(one => (one.kind === 'items' ? one.through : one.figures))]);
    if (this.drawn.has(name)) return this.paper.line({ text: 'Drawn above.', grey: true, sizePt: 9 }, 0.8);
    this.drawn.add(name);
    const wish = { numbers: labels, unit: this.unit, heightMm: DRAWING_MM, arrows: true };
    const scale = pdfDrawing(this.paper, layout, [track], wish);
    const told = `Drawn 1 : ${scale}. Where it is printed larger or smaller, the scale bar still tells.`;
    this.paper.line({ text: told, sizePt: 8.5, grey: true }, 1);
    if (this.forRider) saddlePart(this.paper, show);
  }
}

/** A still from the saddle is wide and low, as one sees a line. */
const STILL_ASPECT = 2;
const STILL_MM = 46;

/** The line as the rider has it before the first fence. */
function saddlePart(paper: PdfPaper, show: AskedToShow): void {
  const eye = askedEye(show, STILL_ASPECT);
  if (!eye) return;
  if (!paper.fits(STILL_MM + 6)) paper.newPage();
  pdfEye(paper, eye.picture, STILL_ASPECT, STILL_MM);
  paper.line({ text: `${eye.label}.`, sizePt: 8.5, grey: true }, 1);
}

/** So high is a drawing at most: two of them stand on a page with what is written of them. */
const DRAWING_MM = 92;

function heading(paper: PdfPaper, text: string): void {
  if (!paper.fits(22)) paper.newPage();
  paper.rule();
  paper.line({ text, bold: true, sizePt: 13 }, 1);
}

function stagePart(
  paper: PdfPaper,
  { name, line, asked, watch }: SheetStage,
  number: number,
  drawings: Drawings,
): void {
  if (!paper.fits(20)) paper.newPage();
  paper.line({ text: `${number}. ${name}. ${line}`, bold: true, sizePt: 11 }, 0.6);
  for (const words of watch) paper.line({ text: words }, 0.4);
  for (const { show, readings } of asked) {
    if (show.words !== name) paper.line({ text: show.words }, 0.6);
    drawings.draw(show);
    for (const { horse, legs } of readings) paper.line({ text: `${horse}: ${legs.join('; ')}.` }, 0.3);
  }
  paper.yMm += 1.5;
}

/** The legs of a course, one a line: from where to where, how far, which way, and in what. */
function legsPart(paper: PdfPaper, { legs, figures, gait }: AskedToShow, unit: LengthUnit): void {
  figures.forEach((figure, index) => paper.line({ text: `${index + 1}. ${figure}` }, 0.2));
  if (legs.length > 0) paper.line({ text: `In ${gait}.`, grey: true }, 0.3);
  for (const { from, to, groundM, way, said } of legs)
    paper.line({ text: `${from} to ${to}: ${formatReading(groundM, unit)}, ${way}${said ? `: ${said}` : ''}.` }, 0.2);
}

function begun({ when, gaitWords }: LessonSheet, size: PaperSize, title: string): PdfPaper {
  const paper = new PdfPaper(size, title, gaitWords);
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

/** A pair's part for the instructor: what its rider is told, and every pass. */
function riddenPart(paper: PdfPaper, pair: SheetPair): void {
  if (pair.end.summary.stages.length === 0) return paper.line({ text: 'Nothing was recorded.' }, 1.5);
  endPart(paper, pair);
  if (pair.words !== '') paper.line({ text: `Said: ${pair.words}` }, 0.5);
  passesPart(paper, pair);
}

function endPart(paper: PdfPaper, { work, end }: SheetPair): void {
  paper.line({ text: end.ridden }, 0.4);
  if (end.best) paper.line({ text: `Best: ${end.best}` }, 0.4);
  if (end.change) paper.line({ text: `Better: ${end.change}` }, 0.4);
  if (end.reins) paper.line({ text: end.reins }, 0.4);
  for (const next of end.next) paper.line({ text: `Next: ${next}` }, 0.5);
  paper.line({ text: work, grey: true }, 1);
}

function passesPart(paper: PdfPaper, { end }: SheetPair): void {
  for (const one of end.summary.stages) {
    const { stage, question, clean, minutes, passes } = one;
    const asked = question === stage ? stage : `${stage}, ${question}`;
    paper.line({ text: `${asked}: ${reinsRidden(one)}, ${clean} clean, ${aboutMinutes(minutes)}`, bold: true }, 0.4);
    passes.forEach((told, index) => paper.line({ text: `${index + 1}. ${told}`, sizePt: 9.5 }, 0.2));
    paper.yMm += 1;
  }
  paper.yMm += 1.5;
}
