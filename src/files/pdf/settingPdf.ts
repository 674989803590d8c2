import {
  callSheet,
  DISCLAIMER,
  distanceCard,
  formatReading,
  layoutLabels,
  layoutStride,
  turnWords,
  usualCautions,
  type Layout,
  type LengthUnit,
  type ReckonedItemTrack,
  type ReckonedTrack,
  type Tolerance,
} from '@/core';
import type { PrintedPiece, PrintedSheet } from '../printedSheet';
import { pdfDrawing } from './pdfDrawing';
import { PdfPaper, type PaperSize } from './pdfPaper';

export type SettingPdfInput = {
  layout: Layout;
  tracks: readonly ReckonedTrack[];
  printed: PrintedSheet;
  arenaName: string;
  unit: LengthUnit;
  /** Whose steps the sheet speaks in. */
  walker: { name: string; stepM: number } | null;
  /** The pieces a word hangs on most, the touchiest first. */
  touchiest: readonly Tolerance[];
  paper: PaperSize;
};

/** A setting sheet to print: drawing to scale, kit, every piece with its measures; then call sheet and distance card. */
export async function settingPdf(input: SettingPdfInput): Promise<Buffer> {
  const { layout, tracks, printed, arenaName, walker, paper: size } = input;
  const paper = new PdfPaper(size, `${layout.name}: setting sheet`);
  paper.line({ text: layout.name, bold: true, sizePt: 18 }, 0.5);
  paper.line({ text: `${arenaName}. Setting sheet${walker ? `, in steps of ${walker.name}` : ''}.`, grey: true }, 2);
  paper.line({ text: `Carry out: ${kitText(printed)}.` }, 1.5);
  touchy(paper, input);
  const numbers = new Map(printed.pieces.map(({ id, number }) => [id, number]));
  const scale = pdfDrawing(paper, layout, tracks, numbers, input.unit);
  paper.line(
    { text: `Drawn 1 : ${scale}. Where it is printed larger or smaller, the scale bar still tells.`, sizePt: 9 },
    2,
  );
  for (const peg of printed.pegs)
    block(paper, { number: `Peg ${peg.peg}`, name: peg.serves, lines: peg.lines, checks: [], notes: [] });
  for (const piece of printed.pieces) block(paper, piece);
  paper.line({ text: 'A piece was knocked away? Its own lines here put it back, by themselves.', sizePt: 9 });
  for (const caution of usualCautions(layout.items)) paper.line({ text: caution, sizePt: 8.5 }, 0.4);
  paper.line({ text: DISCLAIMER, sizePt: 8.5 });
  callPages(paper, input);
  cardPage(paper, input);
  return paper.bytes();
}

function kitText({ kit }: PrintedSheet): string {
  return kit
    .map(({ words, lacking }) => (lacking > 0 ? `${words} (${lacking} more than the yard has)` : words))
    .join(', ');
}

function touchy(paper: PdfPaper, { touchiest, unit, printed }: SettingPdfInput): void {
  const numberOf = (id: string) => printed.pieces.find(piece => piece.id === id)?.number ?? id;
  const [first] = touchiest;
  if (!first) return;
  const words = touchiest
    .slice(0, 3)
    .map(({ item, offM, horse }) => `${numberOf(item)} (${formatReading(offM, unit === 'm' ? 'cm' : unit)}, ${horse})`);
  paper.line({ text: `Touchiest, with how far off a word changes: ${words.join(', ')}.` }, 1.5);
}

type Block = Pick<PrintedPiece, 'number' | 'name' | 'lines' | 'checks' | 'notes'>;

const NUMBER_MM = 14;
const TAPE_MM = 30;
const STEPS_MM = 46;

/** One piece: its number, its lines with tape and steps, its check. Kept together on a page. */
function block(paper: PdfPaper, { number, name, lines, checks, notes }: Block): void {
  const wordsMm = paper.innerWidthMm - NUMBER_MM - TAPE_MM - STEPS_MM;
  const rows = [
    ...lines.map(({ words, tape, steps, follows }) => ({
      words: { text: words },
      tape: { text: tape, bold: true },
      steps: { text: follows ? 'as long as the piece is' : (steps ?? ''), grey: true },
    })),
    ...checks.map(({ words, tape }) => ({
      ...{ words: { text: `Check: ${words}` }, tape: { text: tape, bold: true } },
      steps: { text: '' },
    })),
  ];
  const note = { text: notes.join(' '), sizePt: 9, grey: true };
  const draw = (yMm: number, isReal: boolean) => {
    let y =
      yMm + paper.words({ text: name, bold: true, sizePt: 11 }, NUMBER_MM, yMm, paper.innerWidthMm - NUMBER_MM, isReal);
    if (isReal) paper.words({ text: number, bold: true, sizePt: number.length > 3 ? 10 : 15 }, 0, yMm - 0.5, NUMBER_MM);
    for (const row of rows)
      y += Math.max(
        paper.words(row.words, NUMBER_MM, y, wordsMm, isReal),
        paper.words(row.tape, NUMBER_MM + wordsMm, y, TAPE_MM, isReal),
        paper.words(row.steps, NUMBER_MM + wordsMm + TAPE_MM, y, STEPS_MM, isReal),
      );
    if (notes.length > 0) y += paper.words(note, NUMBER_MM, y, paper.innerWidthMm - NUMBER_MM, isReal);
    return y - yMm;
  };
  const heightMm = draw(0, false);
  if (!paper.fits(heightMm + 2)) paper.newPage();
  paper.rule();
  paper.yMm += draw(paper.yMm, true) + 1.5;
}

/** Each track over fences as it is called out. */
function callPages(paper: PdfPaper, { layout, tracks, unit }: SettingPdfInput): void {
  for (const track of layout.tracks) {
    const reckoned = tracks.find((one): one is ReckonedItemTrack => one.id === track.id && one.kind === 'items');
    if (track.kind !== 'items' || !reckoned || track.through.length < 2) continue;
    paper.newPage();
    paper.line({ text: `Called out: ${layoutLabels(layout).track(track.id)}`, bold: true, sizePt: 18 }, 4);
    for (const { number, name, what, fromBehind, next } of callSheet(layout, track, reckoned)) {
      paper.line(
        {
          text: `${number === null ? '' : `${number}. `}${name === null ? '' : `${name}, `}${what.replace('-', ' ')}${fromBehind ? ', from behind' : ''}`,
          bold: true,
          sizePt: 14,
        },
        0.3,
      );
      if (!next) continue;
      const calls = next.asked ? `in ${next.asked}` : next.calls.map(([horse, call]) => `${horse} ${call}`).join('; ');
      const way = `then ${turnWords(next.turns)}, ${formatReading(next.groundM, unit)}`;
      paper.line({ text: `     ${calls === '' ? way : `${way}: ${calls}`}`, sizePt: 11 }, 1.5);
    }
  }
}

/** The ground of one to five strides for each horse of the layout, where fences are ridden. */
function cardPage(paper: PdfPaper, { layout, unit }: SettingPdfInput): void {
  const jumps = layout.items.some(({ kind }) => kind === 'fence');
  const riders = layout.horses.flatMap(horse => {
    const stride = layoutStride(horse, 'course-canter', 'course');
    return stride ? [{ name: horse.name, card: distanceCard(stride, layout.school, []) }] : [];
  });
  if (!jumps || riders.length === 0) return;
  paper.newPage();
  paper.line({ text: 'Distance card', bold: true, sizePt: 18 }, 1);
  const school =
    layout.school === 'two-metre' ? 'two metres to land and to take off' : 'half a stride to land and to take off';
  paper.line(
    { text: `Ground between low fences for each count, ${school}: easy, and from shortest to longest.`, grey: true },
    3,
  );
  for (const { name, card } of riders) {
    paper.line({ text: name, bold: true, sizePt: 13 }, 0.5);
    for (const { strides, shortestM, evenM, longestM } of card.counts.slice(1)) {
      const [even, shortest, longest] = [evenM, shortestM, longestM].map(lengthM => formatReading(lengthM, unit));
      paper.line({ text: `${strides}:   ${even}   (${shortest} to ${longest})`, sizePt: 11 }, 0.2);
    }
    paper.yMm += 2;
  }
}
