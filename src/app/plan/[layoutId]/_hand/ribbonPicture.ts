import { stopNumbers, type ItemTrack, type Layout, type ReckonedLeg, type StopNumber } from '@/core';
import { chancesOf } from '../_components/chances';
import { callLines } from '../_components/ribbon/callWords';
import { isQuietLeg } from '../_components/ribbon/quietLegs';
import { paintColumn, paintPosts, type RibbonColumn, type RibbonLook } from '../_components/ribbon/paintColumn';
import { isInSight, legPx, SEEN_PX, stopsPx, type RibbonFrame } from '../_components/ribbon/ribbonFrame';
import { legMarksOf } from '../_state/legMarksOf';
import type { Shown } from '../_state/shown';
import type { PaintedOn, RibbonScene } from './told';

export type Ribbon = RibbonScene & { shown: Shown; look: RibbonLook; format: (lengthM: number) => string };

/** A leg as it was drawn last, where, and what it was drawn from; its picture, where it was drawn apart. */
type KeptColumn = {
  column: RibbonColumn;
  picture: PaintedOn | ImageBitmap | null;
  leftPx: number;
  from: readonly unknown[];
};

/** What ribbons are drawn with: in the page and in a worker it can do the same. */
type Context = Pick<
  CanvasRenderingContext2D,
  'clip' | 'drawImage' | 'fillRect' | 'rect' | 'restore' | 'save' | 'setTransform' | 'translate'
> &
  Parameters<typeof paintColumn>[0];

/** What is drawn round a column, so that no line is cut off. */
const ROUND_PX = 2;
/** The same, in whole pixels of the screen. */
const roundPx = (sharpness: number) => Math.ceil(ROUND_PX * sharpness) / sharpness;

/**
 * Draws ribbons. Legs that only move are kept as they were drawn and put in their place, so that a drag draws those anew that it
 * touches; of many rows only those in sight are drawn.
 * @param blank - makes an empty canvas for a leg
 */
export function ribbonPicture(blank: () => PaintedOn) {
  let kept: KeptColumn[] = [];
  let scrolledBefore = 0;
  return {
    /** What was drawn is drawn anew: its letters changed, or what it was drawn on. */
    forget: () => {
      kept = [];
    },
    paint: (canvas: PaintedOn, ribbon: Ribbon): void => {
      const { shown, trackId, frame } = ribbon;
      const { layout } = shown.resolved;
      const track = layout.tracks.find(({ id }) => id === trackId);
      const reckoned = shown.tracks.find(({ id }) => id === trackId);
      if (track?.kind !== 'items' || reckoned?.kind !== 'items' || frame.widthPx === 0) return;
      // In whole pixels of the screen a column is put in its place as it is: between them it would be reckoned anew.
      const { sharpness } = ribbon;
      const whole = (px: number) => Math.round(px * sharpness) / sharpness;
      const stops = stopsPx(
        frame,
        reckoned.legs.map(({ trackM }) => trackM),
      ).map(whole);
      const numbers = stopNumbers(track, layout.items);
      const before = kept;
      kept = reckoned.legs.map((leg, index) =>
        keptColumn(before[index] ?? null, {
          ...ribbon,
          ...{ layout, track, leg, index, blank, isQuiet: isQuietLeg(numbers, leg, index) },
          stopPx: stops[index]!,
        }),
      );
      const scrolledPx = whole(ribbon.scrolledPx);
      const isSame = before.length === kept.length && scrolledPx === scrolledBefore;
      scrolledBefore = scrolledPx;
      const first = isSame ? kept.findIndex((column, index) => column !== before[index]) : 0;
      if (first >= 0) paintFrom(first, canvas, { kept, stops, numbers, track, ribbon, scrolledPx });
    },
  };
}

type Painted = {
  kept: readonly KeptColumn[];
  stops: readonly number[];
  numbers: readonly StopNumber[];
  track: ItemTrack;
  ribbon: Ribbon;
  scrolledPx: number;
};

/** Draws the ribbon from a leg on: what lies before it is there. */
function paintFrom(first: number, canvas: PaintedOn, painted: Painted): void {
  const { kept, stops, numbers, track, ribbon, scrolledPx } = painted;
  const { frame, sharpness, rolledPx, look } = ribbon;
  const names = new Map(ribbon.shown.resolved.layout.items.map(({ id, name }) => [id, name]));
  const paper = paperOf(canvas, frame.widthPx, seenPx(frame), sharpness);
  paper.translate(-scrolledPx, 0);
  const toPx = scrolledPx + frame.widthPx;
  const fromPx = first === 0 ? scrolledPx : Math.max(scrolledPx, stops[first]!);
  paper.beginPath();
  paper.rect(fromPx, 0, Math.max(0, toPx - fromPx), frame.heightPx);
  paper.clip();
  // Not only cleared: of two ribbons that lie over each other for a moment the lower one would shine through.
  paper.fillStyle = look.sheet;
  paper.fillRect(fromPx, 0, Math.max(0, toPx - fromPx), frame.heightPx);
  const isSeen = ({ leftPx, column }: KeptColumn) => leftPx < toPx && leftPx + column.widthPx > scrolledPx;
  for (const column of kept.slice(Math.max(0, first - 1))) if (isSeen(column)) putColumn(paper, column, ribbon);
  paper.translate(0, -rolledPx);
  const posts = track.through.map(({ item }, index) => ({
    ...{ xPx: stops[index]!, number: numbers[index] ?? null, name: names.get(item) ?? null },
  }));
  paintPosts(paper, posts, frame.heightPx, look);
  paper.restore();
}

/** As much of the ribbon as is in sight. */
const seenPx = ({ heightPx }: RibbonFrame) => Math.min(heightPx, SEEN_PX);

type ColumnOf = Ribbon & {
  layout: Layout;
  track: ItemTrack;
  leg: ReckonedLeg;
  index: number;
  stopPx: number;
  isQuiet: boolean;
  blank: () => PaintedOn;
};

/** A leg as it lies now; one that lies where it lay as it was stays the same object. */
function keptColumn(before: KeptColumn | null, of: ColumnOf): KeptColumn {
  const { leg, layout, stopPx, isQuiet, frame, chosen, format, look, rolledPx, sharpness } = of;
  const leftPx = stopPx - roundPx(sharpness);
  const from = [leg, isQuiet, frame, layout.horses, chosen, format, look, rolledPx, sharpness];
  if (before?.from.every((part, at) => part === from[at])) {
    if (before.leftPx === leftPx) return before;
    return { ...before, leftPx, picture: before.picture ?? pictureOf(before, of.blank(), of) };
  }
  if (before?.picture && 'close' in before.picture) before.picture.close();
  const column = columnOf(of);
  return { column, leftPx, from, picture: null };
}

/** A leg that only moved is drawn once, as a picture that changes no more: to draw from a canvas makes a copy each time. */
function pictureOf({ column }: KeptColumn, canvas: PaintedOn, of: ColumnOf): PaintedOn | ImageBitmap {
  const { frame, rolledPx, sharpness, look } = of;
  const paper = paperOf(canvas, column.widthPx + 2 * roundPx(sharpness), seenPx(frame), sharpness);
  paper.translate(roundPx(sharpness), -rolledPx);
  paintColumn(paper, column, look);
  paper.restore();
  return 'transferToImageBitmap' in canvas ? canvas.transferToImageBitmap() : canvas;
}

/** Puts a leg in its place: its picture, or drawn right there while a hand changes it in every frame. */
function putColumn(paper: Context, { column, leftPx, picture }: KeptColumn, ribbon: Ribbon): void {
  const { frame, rolledPx, sharpness, look } = ribbon;
  if (picture) return paper.drawImage(picture, leftPx, 0, picture.width / sharpness, picture.height / sharpness);
  paper.save();
  paper.beginPath();
  paper.rect(leftPx, 0, column.widthPx + 2 * roundPx(sharpness), seenPx(frame));
  paper.clip();
  paper.translate(leftPx + roundPx(sharpness), -rolledPx);
  paintColumn(paper, column, look);
  paper.restore();
}

function columnOf({ leg, index, layout, track, frame, chosen, format, rolledPx, isQuiet }: ColumnOf): RibbonColumn {
  const widthPx = legPx(frame, index, leg.trackM);
  const pxPerM = leg.trackM > 0 ? widthPx / leg.trackM : 0;
  const rowOf = (horseId: string) => layout.horses.findIndex(({ id }) => id === horseId);
  const readings = leg.readings.filter(({ horseId }) => isInSight(rowOf(horseId), rolledPx, seenPx(frame)));
  return {
    ...{ widthPx, isQuiet, length: format(leg.groundM) },
    rows: readings.map(reading => {
      const row = rowOf(reading.horseId);
      const chances = isQuiet ? [] : chancesOf(layout, track, index, leg, layout.horses[row]!);
      return {
        row,
        feetPx: legMarksOf(layout, track, index, leg, reading.horseId).map(({ alongM }) => alongM * pxPerM),
        chosen: reading.horseId === chosen,
        lines: callLines(reading, chances),
      };
    }),
  };
}

/** What to draw on a canvas of so many pixels of the page with, as sharp as the screen; to be restored. */
function paperOf(canvas: PaintedOn, widthPx: number, heightPx: number, sharpness: number): Context {
  const [width, height] = [Math.ceil(widthPx * sharpness), Math.ceil(heightPx * sharpness)];
  if (canvas.width !== width) canvas.width = width;
  if (canvas.height !== height) canvas.height = height;
  const paper = canvas.getContext('2d') as Context;
  paper.save();
  paper.setTransform(sharpness, 0, 0, sharpness, 0, 0);
  return paper;
}
