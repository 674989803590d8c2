import type { CallWords } from './callWords';
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
  /** Its length in words, where there is room for it. */
  length: string;
  rows: readonly ColumnRow[];
};

/** `feetPx`: where the horse lands, strides and takes off, from the fence that is left to the one that is met. */
export type ColumnRow = CallWords & { row: number; feetPx: readonly number[]; chosen: boolean };

const ARCH_PX = 11;
/** From the fence to landing and from take-off to it the arch is higher: the horse is in the air. */
const AIR_PX = 17;
/** From the middle of a row's words to the line they stand on. */
const BASELINE_PX = 4;

/** Draws a leg with its left end at 0: its length, and every horse's strides as arches under the call in words. */
export function paintColumn(paper: Paper, column: RibbonColumn, look: RibbonLook): void {
  const middlePx = column.widthPx / 2;
  paper.font = `12px ${look.fontFamily}`;
  paper.textAlign = 'center';
  paper.fillStyle = look.quiet;
  paper.fillText(column.length, middlePx, HEAD_PX - 6);
  paintArches(paper, column, look, false);
  paintArches(paper, column, look, true);
  paintCalls(paper, column.rows, Math.round(middlePx), look);
}

function paintArches(paper: Paper, { widthPx, rows }: RibbonColumn, look: RibbonLook, chosen: boolean): void {
  paper.strokeStyle = chosen ? look.chosenArch : look.arch;
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

/**
 * Calls with their marks: bars that close in where it is tight and stand off where it is far. Those of one colour are drawn
 * together, for a canvas counts how often it is asked.
 */
function paintCalls(paper: Paper, rows: readonly ColumnRow[], middlePx: number, look: RibbonLook): void {
  paper.lineWidth = 1.8;
  look.fits.forEach((colour, fit) => {
    const own = rows.filter(({ step }) => (step ?? 0) + 3 === fit);
    if (own.length === 0) return;
    paper.fillStyle = colour;
    paper.strokeStyle = colour;
    paper.beginPath();
    for (const row of own) addCall(paper, row, middlePx);
    paper.stroke();
  });
}

function addCall(paper: Paper, { words, step, row }: ColumnRow, middlePx: number): void {
  const yPx = HEAD_PX + row * ROW_PX + 12;
  // A count alone has no room for a mark.
  const marked = step !== null && /[a-z]/.test(words);
  paper.fillText(words, marked ? middlePx + 4 : middlePx, yPx + BASELINE_PX);
  if (!marked) return;
  const markPx = middlePx + 4 - paper.measureText(words).width / 2 - 9;
  const apartPx = 3 + step * 0.9;
  for (const xPx of [markPx - apartPx, markPx + apartPx]) {
    paper.moveTo(xPx, yPx - 5);
    paper.lineTo(xPx, yPx + 5);
  }
}

export type RibbonPost = { xPx: number; name: string };

/** What lies between the names of two posts at least. */
const APART_PX = 5;

/** The items of the track where they stand on it, over every row; where names would run together, the order says enough. */
export function paintPosts(paper: Paper, posts: readonly RibbonPost[], heightPx: number, look: RibbonLook): void {
  paper.strokeStyle = look.accent;
  paper.lineWidth = 2.5;
  paper.lineCap = 'round';
  paper.beginPath();
  for (const { xPx } of posts) {
    paper.moveTo(xPx, HEAD_PX - 14);
    paper.lineTo(xPx, heightPx - 4);
  }
  paper.stroke();
  paper.lineCap = 'butt';
  paper.font = `650 12px ${look.fontFamily}`;
  paper.textAlign = 'center';
  paper.fillStyle = look.ink;
  let rightPx = -Infinity;
  posts.forEach(({ xPx, name }, index) => {
    const half = (words: string) => paper.measureText(words).width / 2;
    const whole = name === String(index + 1) ? name : `${index + 1} ${name}`;
    const words = xPx - half(whole) >= rightPx + APART_PX ? whole : String(index + 1);
    rightPx = xPx + half(words);
    paper.fillText(words, xPx, 12);
  });
}
