import {
  callSheet,
  DISCLAIMER,
  formatReading,
  type GaitWords,
  type Layout,
  layoutLabels,
  offWords,
  type LengthUnit,
  type ReckonedItemTrack,
  type ReckonedTrack,
  type SettingSheet,
  type Tolerance,
  turnWords,
  usualCautions,
} from '@/core';
import type { ShapesWish } from '../layoutShapes';
import type { PrintedPiece, PrintedSheet } from '../printedSheet';
import { distanceCards } from './cardsPdf';
import { pdfDrawing, pdfDrawingScale } from './pdfDrawing';
import { PdfPaper, type PaperSize, type Words } from './pdfPaper';
import { picturePages } from './picturePages';

export type SettingPdfInput = {
  layout: Layout;
  /** As drawn, where the layout is a stage of it. */
  whole: Layout;
  sheet: SettingSheet;
  tracks: readonly ReckonedTrack[];
  printed: PrintedSheet;
  arenaName: string;
  /** Where the way in is, and home. */
  marks: NonNullable<ShapesWish['marks']>;
  /** The stage that it is set for; null as drawn. */
  stageName: string | null;
  unit: LengthUnit;
  /** What the yard calls the gaits. */
  gaitWords: GaitWords;
  /** Whose steps the sheet speaks in. */
  walker: { name: string; stepM: number } | null;
  /** How far each piece may be off before a word changes. */
  tolerances: readonly Tolerance[];
  minutes: number;
  paper: PaperSize;
  /** The sheet alone, on one page where it fits; or with a picture of every step, the call sheet and a card for each horse. */
  parts: 'sheet' | 'all';
};

/** What the drawing may take of the page: as much as leaves room for the words. */
const DRAWINGS_MM = [112, 96, 84, 74, 62] as const;
/** Words smaller than this are not made for the sake of a larger drawing. */
const EASY_PT = 10;
/** Read at arm's length: as large as fits on one page, never smaller than the last. */
const SIZES_PT = [11.5, 11, 10.5, 10, 9.5] as const;
const GUTTER_MM = 6;

/** A setting sheet to print: the drawing to scale, kit, and every piece with its measures, on one page where that can be. */
export async function settingPdf(input: SettingPdfInput): Promise<Buffer> {
  const { layout, whole, tracks, printed, arenaName, stageName, walker, minutes, paper: size } = input;
  const paper = new PdfPaper(size, `${layout.name}: setting sheet`, input.gaitWords);
  const title = stageName === null ? layout.name : `${layout.name}: ${stageName}`;
  paper.line({ text: title, bold: true, sizePt: 16 }, 0.3);
  const steps = walker ? `, in steps of ${walker.name}` : '';
  const about = `${arenaName}${steps}. About ${minutes} min for one person. Carry out: ${kitText(printed)}.`;
  paper.line({ text: about, sizePt: 9.5 }, 0.8);
  const numbers = new Map(printed.pieces.map(({ id, number }) => [id, number]));
  const blocks = blocksOf(input);
  const foot = footOf(layout);
  const wish = { numbers, unit: input.unit, marks: input.marks };
  const sized = sizedBlocks(paper, blocks);
  const heightMm = DRAWINGS_MM.find(most => {
    const { heightMm: highMm } = pdfDrawingScale(paper, layout, { ...wish, heightMm: most });
    return largest(sized, paper.leftMm - highMm - CAPTION_MM - footHeightMm(paper, foot), EASY_PT) !== null;
  });
  const scale = pdfDrawing(paper, layout, tracks, { ...wish, heightMm: heightMm ?? DRAWINGS_MM.at(-1)! });
  const drawn = `Drawn 1 : ${scale}; the scale bar still tells where it is not. Left and right are as each piece is ridden.`;
  paper.line({ text: drawn, sizePt: 8.5 }, 1);
  columns(paper, blocks, sized, foot);
  if (input.parts === 'all') {
    picturePages(paper, { layout, whole, sheet: input.sheet, printed });
    callPages(paper, input);
    distanceCards(paper, input);
  }
  return paper.bytes();
}

function kitText({ kit }: PrintedSheet): string {
  return kit
    .map(({ words, lacking }) => (lacking > 0 ? `${words} (${lacking} more than the yard has)` : words))
    .join(', ');
}

/** What stands below, in one run. */
const footOf = ({ items }: Layout): Words => ({
  text: ['Knocked away? Its own lines put a piece back.', ...usualCautions(items), DISCLAIMER].join(' '),
  sizePt: 8.5,
});

const footHeightMm = (paper: PdfPaper, foot: Words) => paper.words(foot, 0, 0, paper.innerWidthMm, false) + 1.5;
/** The line under the drawing. */
const CAPTION_MM = 5;

type Block = Pick<PrintedPiece, 'number' | 'name' | 'lines' | 'checks' | 'notes'> & { matters: string };

function blocksOf({ printed, tolerances, unit }: SettingPdfInput): Block[] {
  const pegs = printed.pegs.map(({ peg, lines, serves }) => ({
    ...{ number: `Peg ${peg}`, name: serves, lines, checks: [], notes: [], matters: '' },
  }));
  const pieces = printed.pieces.map(piece => {
    const tolerance = tolerances.find(({ item }) => item === piece.id);
    const format = (lengthM: number) => formatReading(lengthM, unit === 'm' ? 'cm' : unit);
    return { ...piece, matters: tolerance ? `${offWords(tolerance, format)} matters for ${tolerance.horse}` : '' };
  });
  return [...pegs, ...pieces];
}

const columnMm = (paper: PdfPaper) => (paper.innerWidthMm - GUTTER_MM) / 2;

type Sized = { sizePt: number; heightsMm: number[] };

/** How high each block is in letters of each size, the largest first. */
function sizedBlocks(paper: PdfPaper, blocks: readonly Block[]): Sized[] {
  const widthMm = columnMm(paper);
  return SIZES_PT.map(sizePt => ({ sizePt, heightsMm: blocks.map(one => block(paper, one, { sizePt, widthMm })) }));
}

/** The largest letters, no smaller than some, in which blocks go into two columns of a height; null where none do. */
function largest(sized: readonly Sized[], leftMm: number, leastPt: number): Sized | null {
  return sized.find(({ sizePt, heightsMm }) => sizePt >= leastPt && fitsTwo(heightsMm, leftMm)) ?? null;
}

/** Two columns of blocks, as large as lets all of them stand on this page; else over as many pages as it takes. */
function columns(paper: PdfPaper, blocks: readonly Block[], sized: readonly Sized[], foot: Words): void {
  const widthMm = columnMm(paper);
  const footMm = footHeightMm(paper, foot);
  const easy = sized.find(({ sizePt }) => sizePt === EASY_PT)!;
  const { sizePt, heightsMm } = largest(sized, paper.leftMm - footMm, 0) ?? easy;
  let [column, topMm] = [0, paper.yMm];
  let yMm = topMm;
  for (const [index, one] of blocks.entries()) {
    const heightMm = heightsMm[index]!;
    if (yMm + heightMm > paper.endMm - footMm) {
      column += 1;
      if (column > 1) {
        paper.newPage();
        [column, topMm] = [0, paper.yMm];
      }
      yMm = topMm;
    }
    block(paper, one, { sizePt, widthMm, at: { xMm: column * (widthMm + GUTTER_MM), yMm } });
    yMm += heightMm;
  }
  paper.yMm = paper.endMm - footMm;
  paper.words(foot, 0, paper.yMm + 1, paper.innerWidthMm);
  paper.yMm = paper.endMm;
}

/** Whether blocks go into two columns of a height, in their order. */
function fitsTwo(heightsMm: readonly number[], leftMm: number): boolean {
  let [column, yMm] = [0, 0];
  for (const heightMm of heightsMm) {
    if (yMm + heightMm > leftMm) [column, yMm] = [column + 1, 0];
    if (column > 1 || heightMm > leftMm) return false;
    yMm += heightMm;
  }
  return true;
}

const NUMBER_SHARE = 1.15;
const TAPE_SHARE = 2.35;

type BlockPlace = { sizePt: number; widthMm: number; at?: { xMm: number; yMm: number } };

/** One piece: its number, its measures to what matters, its check. Returns its height, mm; drawn where it has a place. */
function block(paper: PdfPaper, { number, name, lines, checks, notes, matters }: Block, place: BlockPlace): number {
  const { sizePt, widthMm, at } = place;
  const { xMm, yMm } = at ?? { xMm: 0, yMm: 0 };
  const isReal = at !== undefined;
  const [numberMm, tapeMm] = [sizePt * NUMBER_SHARE, sizePt * TAPE_SHARE];
  const wordsMm = widthMm - numberMm - tapeMm - 1;
  const tapeX = xMm + widthMm - tapeMm;
  if (isReal) paper.thinLine(xMm, yMm, widthMm);
  let y = yMm + 0.8;
  const large = number.length > 3 ? sizePt : sizePt + 4;
  if (isReal) paper.words({ text: number, bold: true, sizePt: large }, xMm, y - 0.4, numberMm + 6);
  y += paper.words({ text: name, bold: true, sizePt }, xMm + numberMm, y, widthMm - numberMm, isReal);
  const row = (words: string, tape: string, steps: string | null) => {
    const left = paper.words({ text: words, sizePt: sizePt - 0.5 }, xMm + numberMm, y, wordsMm, isReal);
    const right = paper.words({ text: tape, bold: true, sizePt }, tapeX, y, tapeMm, isReal);
    const below = steps ? paper.words({ text: steps, sizePt: sizePt - 1.5 }, tapeX, y + right, tapeMm, isReal) : 0;
    y += Math.max(left, right + below);
  };
  // What follows from its own length is not measured: the name says how long a piece is.
  for (const { words, rounded, roundedSteps, follows } of lines) if (!follows) row(words, rounded, roundedSteps);
  for (const { words, rounded } of checks) row(`Check: ${words}`, rounded, null);
  const small = [matters, ...notes]
    .filter(text => text !== '')
    .join('. ')
    .replaceAll('..', '.');
  if (small !== '')
    y += paper.words({ text: small, sizePt: sizePt - 2, grey: true }, xMm + numberMm, y, widthMm - numberMm, isReal);
  return y + 0.8 - yMm;
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
