import {
  distanceCard,
  formatReading,
  type GaitWords,
  type Layout,
  layoutStride,
  type LengthUnit,
  type ReckonedTrack,
  saidOf,
  sheetLabels,
} from '@/core';
import { MARGIN_MM, PdfPaper, PT_PER_MM, type PaperSize } from './pdfPaper';

/** What lies on a page of cards to cut out: so many across and down. */
type Grid = { across: number; down: number };

/** Where each card of a page lies, mm from the upper left corner inside the margins. */
function placesOf(paper: PdfPaper, { across, down }: Grid) {
  return {
    ...{ widthMm: paper.innerWidthMm / across, heightMm: paper.innerHeightMm / down },
    at: (index: number) => ({ column: index % across, row: Math.floor(index / across) }),
  };
}

/** The lines along which a page is cut into cards. */
function cutLines(paper: PdfPaper, grid: Grid): void {
  const { widthMm, heightMm } = placesOf(paper, grid);
  const { doc } = paper;
  const line = (x1: number, y1: number, x2: number, y2: number) =>
    doc
      .moveTo((MARGIN_MM + x1) * PT_PER_MM, (MARGIN_MM + y1) * PT_PER_MM)
      .lineTo((MARGIN_MM + x2) * PT_PER_MM, (MARGIN_MM + y2) * PT_PER_MM)
      .lineWidth(0.5)
      .dash(4, { space: 4 })
      .stroke('#888888')
      .undash();
  for (let column = 0; column <= grid.across; column += 1)
    line(column * widthMm, 0, column * widthMm, paper.innerHeightMm);
  for (let row = 0; row <= grid.down; row += 1) line(0, row * heightMm, paper.innerWidthMm, row * heightMm);
}

const NUMBER_GRID: Grid = { across: 2, down: 3 };
/** As high as the card lets it be. */
const NUMBER_PT = 190;

/** Numbers to cut out and set beside the fences: as large as six on a page can be. */
export async function numberCardsPdf(
  layout: Pick<Layout, 'name' | 'items' | 'tracks'>,
  size: PaperSize,
): Promise<Buffer> {
  const numberOf = sheetLabels(layout);
  // A fence that a course comes back to has a card for each of its numbers.
  const numbers = layout.items.flatMap(({ id }) => numberOf(id).split('·'));
  const sorted = [...new Set(numbers)].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  const paper = new PdfPaper(size, `${layout.name}: numbers`);
  const each = NUMBER_GRID.across * NUMBER_GRID.down;
  const cards = placesOf(paper, NUMBER_GRID);
  sorted.forEach((number, index) => {
    if (index > 0 && index % each === 0) paper.newPage();
    if (index % each === 0) cutLines(paper, NUMBER_GRID);
    const { column, row } = cards.at(index % each);
    const { doc } = paper;
    doc.font('latinBold').fontSize(NUMBER_PT).fillColor('#000000');
    const fitPt = Math.min(NUMBER_PT, (NUMBER_PT * (cards.widthMm - 8) * PT_PER_MM) / doc.widthOfString(number));
    doc.fontSize(fitPt);
    const xPt = (MARGIN_MM + (column + 0.5) * cards.widthMm) * PT_PER_MM - doc.widthOfString(number) / 2;
    const yPt = (MARGIN_MM + (row + 0.5) * cards.heightMm) * PT_PER_MM - fitPt * 0.6;
    doc.text(number, xPt, yPt, { lineBreak: false });
  });
  return paper.bytes();
}

const PAIR_GRID: Grid = { across: 2, down: 2 };
const CARD_PAD_MM = 5;

export type DistanceCardsInput = {
  layout: Layout;
  tracks: readonly ReckonedTrack[];
  unit: LengthUnit;
  gaitWords: GaitWords;
};
type DistanceCard = { name: string; legs: string[]; counts: string[] };

/** For each horse every distance of the layout as it is for it, then its own easy ground by count. */
function cardsOf({ layout, tracks, unit }: DistanceCardsInput): DistanceCard[] {
  const numberOf = sheetLabels(layout);
  const cards = layout.horses.map(horse => {
    const legs = tracks.flatMap(track =>
      track.kind !== 'items'
        ? []
        : track.legs.flatMap(({ from, to, groundM, readings }) => {
            const own = readings.find(({ horseId }) => horseId === horse.id);
            return own
              ? [`${numberOf(from)} to ${numberOf(to)}:  ${formatReading(groundM, unit)}  ${saidOf(own)}`]
              : [];
          }),
    );
    return { name: horse.name, legs, counts: countLines(layout, horse, unit) };
  });
  return cards.filter(({ legs, counts }) => legs.length + counts.length > 0);
}

/** A card for each horse, to cut out. */
export function distanceCards(paper: PdfPaper, input: DistanceCardsInput): void {
  const each = PAIR_GRID.across * PAIR_GRID.down;
  const { widthMm, heightMm, at } = placesOf(paper, PAIR_GRID);
  cardsOf(input).forEach((card, index) => {
    // A page that nothing was written on is used.
    if (index % each === 0 && (index > 0 || paper.yMm > MARGIN_MM)) paper.newPage();
    if (index % each === 0) cutLines(paper, PAIR_GRID);
    const { column, row } = at(index % each);
    const place = {
      ...{ xMm: column * widthMm + CARD_PAD_MM, yMm: MARGIN_MM + row * heightMm + CARD_PAD_MM },
      ...{ widthMm: widthMm - 2 * CARD_PAD_MM, heightMm: heightMm - 2 * CARD_PAD_MM },
    };
    distanceCardAt(paper, card, input.layout.name, place);
  });
}

/** Legs in so many lines are written large; more of them smaller. */
const LARGE_LEGS = 12;

function distanceCardAt(
  paper: PdfPaper,
  { name, legs, counts }: DistanceCard,
  layoutName: string,
  place: { xMm: number; yMm: number; widthMm: number; heightMm: number },
): void {
  let y = place.yMm;
  const write = (text: string, sizePt: number, bold = false) => {
    const high = paper.words({ text, sizePt, bold }, place.xMm, y, place.widthMm, false);
    if (y + high > place.yMm + place.heightMm) return;
    y += paper.words({ text, sizePt, bold }, place.xMm, y, place.widthMm);
  };
  write(name, 16, true);
  write(layoutName, 9);
  y += 1.5;
  for (const leg of legs) write(leg, legs.length > LARGE_LEGS ? 9 : 11);
  if (counts.length === 0) return;
  y += 1.5;
  write('Ground between low fences: easy, and from shortest to longest', 8.5);
  for (const count of counts) write(count, 10);
}

/** The ground of one to six strides for a horse, where fences are ridden. */
function countLines(layout: Layout, horse: Layout['horses'][number], unit: LengthUnit): string[] {
  const stride = layoutStride(horse, 'course-canter', 'course');
  if (!stride || !layout.items.some(({ kind }) => kind === 'fence')) return [];
  return distanceCard(stride, layout.school, [])
    .counts.slice(1)
    .map(({ strides, shortestM, evenM, longestM }) => {
      const [even, shortest, longest] = [evenM, shortestM, longestM].map(lengthM => formatReading(lengthM, unit));
      return `${strides}:  ${even}  (${shortest} to ${longest})`;
    });
}

/** The distance cards alone; null where there is no horse whose distances could be told. */
export async function distanceCardsPdf(input: DistanceCardsInput, size: PaperSize): Promise<Buffer | null> {
  if (cardsOf(input).length === 0) return null;
  const paper = new PdfPaper(size, `${input.layout.name}: distances`, input.gaitWords);
  distanceCards(paper, input);
  return paper.bytes();
}
