import type { CallLine } from './callWords';
import { HEAD_PX, ROW_PX } from './ribbonFrame';

/** What is drawn on: the part of a canvas's context that a ribbon needs. */
export type Paper = Pick<
  CanvasRenderingContext2D,
  'beginPath' | 'moveTo' | 'lineTo' | 'quadraticCurveTo' | 'stroke' | 'fillText' | 'measureText'
> & {
  fillStyle: CanvasRenderingContext2D['fillStyle'];
  strokeStyle: CanvasRenderingContext2D['strokeStyle'];
  lineWidth: number;
  lineCap: CanvasLineCap;
  font: string;
  textAlign: CanvasTextAlign;
};

/** Colours and letters, as the page has them. */
export type RibbonLook = {
  fontFamily: string;
  sheet: string;
  ink: string;
  quiet: string;
  accent: string;
  arch: string;
  chosenArch: string;
  /** By steps from easy, −3 to 3. */
  fits: readonly string[];
};

/** One leg over all rows. */
export type RibbonColumn = {
  widthPx: number;
  /** Its length in words. */
  length: string;
  /** A gap that a pole only helps with: what is said of it steps back. */
  isQuiet: boolean;
  rows: readonly ColumnRow[];
};

/** `feetPx`: where the horse lands, strides and takes off, from the fence that is left to the one that is met. */
export type ColumnRow = { row: number; lines: readonly CallLine[]; feetPx: readonly number[]; chosen: boolean };

const ARCH_PX = 11;
/** From the fence to landing and from take-off to it the arch is higher: the horse is in the air. */
const AIR_PX = 17;
/** From the top of a row to the lines that its words stand on: one alone, or two. */
const ALONE_PX = [21];
const BOTH_PX = [14, 28];

/** Draws a leg with its left end at 0: its length, and every horse's strides as arches under what is said of it. */
export function paintColumn(paper: Paper, column: RibbonColumn, look: RibbonLook): void {
  const middlePx = column.widthPx / 2;
  paper.font = `12px ${look.fontFamily}`;
  paper.textAlign = 'center';
  paper.fillStyle = look.quiet;
  paper.fillText(column.length, Math.round(middlePx), HEAD_PX - 6);
  paintArches(paper, column, look, false);
  paintArches(paper, column, look, true);
  paintCalls(paper, column, Math.round(middlePx), look);
}

function paintArches(paper: Paper, { widthPx, rows, isQuiet }: RibbonColumn, look: RibbonLook, chosen: boolean): void {
  paper.strokeStyle = chosen && !isQuiet ? look.chosenArch : look.arch;
  paper.lineWidth = chosen ? 1.6 : 1.2;
  paper.beginPath();
  for (const row of rows) {
    if (row.chosen !== chosen) continue;
    const groundPx = groundOf(row.row);
    const alongPx = [0, ...row.feetPx, widthPx];
    paper.moveTo(0, groundPx);
    for (let arch = 1; arch < alongPx.length; arch += 1) {
      const [fromPx, toPx] = [alongPx[arch - 1]!, alongPx[arch]!];
      const isAir = arch === 1 || arch === alongPx.length - 1;
      paper.quadraticCurveTo((fromPx + toPx) / 2, groundPx - (isAir ? AIR_PX : ARCH_PX), toPx, groundPx);
    }
  }
  paper.stroke();
}

/** The line that a row's horse goes on. */
export function groundOf(row: number): number {
  return HEAD_PX + row * ROW_PX + ROW_PX - 3;
}

type Placed = CallLine & { yPx: number };

/**
 * Calls with their marks: bars that close in where it is tight and stand off where it is far. Those of one colour are drawn
 * together, for a canvas counts how often it is asked.
 */
function paintCalls(paper: Paper, { rows, isQuiet }: RibbonColumn, middlePx: number, look: RibbonLook): void {
  const lines = rows.flatMap(({ row, lines: said }): Placed[] => {
    const offPx = said.length > 1 ? BOTH_PX : ALONE_PX;
    return said.slice(0, 2).map((line, index) => ({ ...line, yPx: HEAD_PX + row * ROW_PX + offPx[index]! }));
  });
  paper.lineWidth = 1.8;
  look.fits.forEach((colour, fit) => {
    const own = lines.filter(({ step }) => (step ?? 0) + 3 === fit);
    if (own.length === 0) return;
    paper.fillStyle = isQuiet ? look.quiet : colour;
    paper.strokeStyle = isQuiet ? look.quiet : colour;
    paper.beginPath();
    for (const line of own) addCall(paper, line, middlePx, isQuiet);
    paper.stroke();
  });
  if (isQuiet) return;
  paper.fillStyle = look.quiet;
  for (const line of lines) addChance(paper, line, middlePx, look);
}

/** How wide the mark of a call is with what parts it from the words, and what parts those from the chance. */
export const MARK_PX = 18;
export const CHANCE_GAP_PX = 6;

const chanceWords = ({ chance }: CallLine) => (chance === null ? '' : `${Math.round(chance * 100)} %`);

/** Mark, words and chance stand about the middle of the leg together. */
function leftOf(paper: Paper, line: CallLine, middlePx: number, isQuiet: boolean): number {
  const { words, step } = line;
  const chance = isQuiet ? '' : chanceWords(line);
  const chancePx = chance === '' ? 0 : paper.measureText(chance).width + CHANCE_GAP_PX;
  const allPx = (step === null ? 0 : MARK_PX) + paper.measureText(words).width + chancePx;
  return Math.round(middlePx - allPx / 2);
}

function addCall(paper: Paper, line: Placed, middlePx: number, isQuiet: boolean): void {
  const { words, step, yPx } = line;
  const leftPx = leftOf(paper, line, middlePx, isQuiet);
  paper.textAlign = 'left';
  paper.fillText(words, leftPx + (step === null ? 0 : MARK_PX), yPx);
  if (step === null) return;
  const apartPx = 3 + step * 0.9;
  for (const xPx of [leftPx + MARK_PX / 2 - 2 - apartPx, leftPx + MARK_PX / 2 - 2 + apartPx]) {
    paper.moveTo(xPx, yPx - 9);
    paper.lineTo(xPx, yPx + 1);
  }
}

function addChance(paper: Paper, line: Placed, middlePx: number, look: RibbonLook): void {
  const words = chanceWords(line);
  if (words === '') return;
  paper.font = `12px ${look.fontFamily}`;
  const leftPx = leftOf(paper, line, middlePx, false);
  const besidePx = (line.step === null ? 0 : MARK_PX) + paper.measureText(line.words).width + CHANCE_GAP_PX;
  paper.fillText(words, Math.round(leftPx + besidePx), line.yPx);
}

/** `number`: null for a pole that only helps. */
export type RibbonPost = { xPx: number; number: number | null; name: string | null };

/** What lies between what is written of two posts at least. */
const APART_PX = 8;

/** The items of the track where they stand on it, over every row, with their numbers; names as far as there is room for them. */
export function paintPosts(paper: Paper, posts: readonly RibbonPost[], heightPx: number, look: RibbonLook): void {
  paper.lineCap = 'round';
  const strokes = (own: readonly RibbonPost[], colour: string, widthPx: number, topPx: number) => {
    paper.strokeStyle = colour;
    paper.lineWidth = widthPx;
    paper.beginPath();
    for (const { xPx } of own) {
      paper.moveTo(xPx, topPx);
      paper.lineTo(xPx, heightPx - 4);
    }
    paper.stroke();
  };
  strokes(
    posts.filter(({ number }) => number === null),
    look.arch,
    1.5,
    HEAD_PX - 4,
  );
  strokes(
    posts.filter(({ number }) => number !== null),
    look.accent,
    2.5,
    HEAD_PX - 16,
  );
  paper.lineCap = 'butt';
  paper.textAlign = 'center';
  posts.forEach(({ xPx, number, name }, index) => {
    const roomPx = Math.min(
      ...[posts[index - 1], posts[index + 1]].map(next => (next ? Math.abs(next.xPx - xPx) : 400)),
    );
    const words = fittingName(paper, number === null ? '' : String(number), name, roomPx - APART_PX, look);
    if (words === '') return;
    paper.font = `650 12px ${look.fontFamily}`;
    paper.fillStyle = number === null ? look.quiet : look.ink;
    paper.fillText(words, Math.round(xPx), 13);
  });
}

/** A number with as much of the name as there is room for. */
function fittingName(paper: Paper, number: string, name: string | null, roomPx: number, look: RibbonLook): string {
  if (name === null) return number;
  paper.font = `650 12px ${look.fontFamily}`;
  const whole = [number, name].filter(part => part !== '').join(' ');
  if (paper.measureText(whole).width <= roomPx) return whole;
  for (let letters = name.length - 1; letters > 1; letters -= 1) {
    const cut = [number, `${name.slice(0, letters).trimEnd()}…`].filter(part => part !== '').join(' ');
    if (paper.measureText(cut).width <= roomPx) return cut;
  }
  return number;
}
