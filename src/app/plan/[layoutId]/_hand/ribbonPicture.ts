import { layoutLabels, stopsAlongM, type ItemTrack, type Layout, type ReckonedLeg } from '@/core';
import { callWords } from '../_components/ribbon/callWords';
import { paintColumn, paintPosts, type RibbonColumn, type RibbonLook } from '../_components/ribbon/paintColumn';
import { alongPx, isInSight, SEEN_PX, type RibbonFrame } from '../_components/ribbon/ribbonFrame';
import { legMarksOf } from '../_state/legMarksOf';
import type { Shown } from '../_state/usePlanEditor';
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
  'clearRect' | 'clip' | 'drawImage' | 'rect' | 'restore' | 'save' | 'setTransform' | 'translate'
> &
  Parameters<typeof paintColumn>[0];

/** A leg is as wide as this where its length is written. */
const LENGTH_FROM_PX = 48;
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
      const stops = stopsAlongM(reckoned).map(alongM => Math.round(alongPx(frame, alongM) * sharpness) / sharpness);
      const before = kept;
      kept = reckoned.legs.map((leg, index) =>
        keptColumn(before[index] ?? null, {
          ...ribbon,
          ...{ layout, track, leg, index, blank },
          stopPx: stops[index]!,
        }),
      );
      const first = before.length === kept.length ? kept.findIndex((column, index) => column !== before[index]) : 0;
      if (first >= 0) paintFrom(first, canvas, { kept, stops, track, ribbon });
    },
  };
}

type Painted = { kept: readonly KeptColumn[]; stops: readonly number[]; track: ItemTrack; ribbon: Ribbon };

/** Draws the ribbon from a leg on: what lies before it is there. */
function paintFrom(first: number, canvas: PaintedOn, { kept, stops, track, ribbon }: Painted): void {
  const labels = layoutLabels(ribbon.shown.resolved.layout);
  const { frame, sharpness, rolledPx, look } = ribbon;
  const paper = paperOf(canvas, frame.widthPx, seenPx(frame), sharpness);
  const fromPx = first === 0 ? 0 : stops[first]!;
  paper.beginPath();
  paper.rect(fromPx, 0, frame.widthPx - fromPx, frame.heightPx);
  paper.clip();
  paper.clearRect(fromPx, 0, frame.widthPx - fromPx, frame.heightPx);
  for (const column of kept.slice(Math.max(0, first - 1))) putColumn(paper, column, ribbon);
  paper.translate(0, -rolledPx);
  const posts = track.through.map(({ item }, index) => ({ xPx: stops[index]!, name: labels.short(item) }));
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
  blank: () => PaintedOn;
};

/** A leg as it lies now; one that lies where it lay as it was stays the same object. */
function keptColumn(before: KeptColumn | null, of: ColumnOf): KeptColumn {
  const { leg, layout, stopPx, frame, chosen, format, look, rolledPx, sharpness } = of;
  const leftPx = stopPx - roundPx(sharpness);
  const from = [leg, frame, layout.horses, chosen, format, look, rolledPx, sharpness];
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

function columnOf({ leg, index, layout, track, frame, chosen, format, rolledPx }: ColumnOf): RibbonColumn {
  const widthPx = leg.trackM * frame.pxPerM;
  const rowOf = (horseId: string) => layout.horses.findIndex(({ id }) => id === horseId);
  const readings = leg.readings.filter(({ horseId }) => isInSight(rowOf(horseId), rolledPx, seenPx(frame)));
  return {
    widthPx,
    length: widthPx > LENGTH_FROM_PX ? format(leg.groundM) : '',
    rows: readings.map(reading => ({
      row: rowOf(reading.horseId),
      feetPx: legMarksOf(layout, track, index, leg, reading.horseId).map(({ alongM }) => alongM * frame.pxPerM),
      chosen: reading.horseId === chosen,
      ...callWords(reading, widthPx),
    })),
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
