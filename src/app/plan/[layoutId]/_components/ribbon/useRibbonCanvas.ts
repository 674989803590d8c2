import { useLatest } from '@/components/useLatest';
import { stopsAlongM, type ItemTrack, type Layout, type LayoutHorse, type ReckonedLeg } from '@/core';
import { useCallback, useEffect, useLayoutEffect, useRef, type RefObject } from 'react';
import { legMarksOf } from '../../_state/legMarksOf';
import type { PlanControls, Shown } from '../../_state/usePlanEditor';
import { callWords } from './callWords';
import { paintColumn, paintPosts, type RibbonColumn, type RibbonLook } from './paintColumn';
import { alongPx, isInSight, SEEN_PX, type RibbonFrame } from './ribbonFrame';

export type RibbonDrawing = {
  controls: PlanControls;
  trackId: string;
  frame: RibbonFrame;
  horses: readonly LayoutHorse[];
  /** The horse whose strides are drawn strongest. */
  chosen: string | null;
  format: (lengthM: number) => string;
};

/** A leg is as wide as this where its length is written. */
const LENGTH_FROM_PX = 48;
/** What is drawn round a column, so that no line is cut off. */
const ROUND_PX = 2;

/**
 * Draws the ribbon on a canvas: what stands, and in the same frame what is on its way in a drag. Every leg is kept as it was
 * drawn and put in its place, so that a drag draws only the legs that it touches; of many rows only those in sight are drawn.
 * @returns the canvas, and what is rolled over it
 */
export function useRibbonCanvas(drawing: RibbonDrawing): {
  canvas: RefObject<HTMLCanvasElement | null>;
  rolled: RefObject<HTMLDivElement | null>;
} {
  const { controls, trackId, frame, horses, chosen, format } = drawing;
  const canvas = useRef<HTMLCanvasElement>(null);
  const rolled = useRef<HTMLDivElement>(null);
  const rolledPx = useRef(0);
  const kept = useRef<KeptColumn[]>([]);
  const look = useRef<RibbonLook | null>(null);
  const { live, shown } = controls;
  const paint = useCallback(() => {
    if (!canvas.current || frame.widthPx === 0) return;
    look.current ??= lookOf(canvas.current);
    paintRibbon(canvas.current, kept.current, {
      ...{ trackId, frame, horses, chosen, format },
      shown: live.get()?.shown ?? shown,
      look: look.current,
      rolledPx: rolledPx.current,
    });
  }, [live, shown, trackId, frame, horses, chosen, format]);
  useLayoutEffect(() => {
    paint();
    return live.subscribe(paint);
  }, [live, paint]);
  useEffect(() => {
    const strip = rolled.current;
    const roll = () => {
      rolledPx.current = strip?.scrollTop ?? 0;
      paint();
    };
    strip?.addEventListener('scroll', roll);
    return () => strip?.removeEventListener('scroll', roll);
  }, [paint]);
  const latestPaint = useLatest(paint);
  useEffect(() => {
    // Letters that came late: what was drawn in other ones is drawn again, once.
    let gone = false;
    void document.fonts.ready.then(() => {
      if (gone) return;
      kept.current = [];
      latestPaint.current();
    });
    return () => {
      gone = true;
    };
  }, [latestPaint]);
  return { canvas, rolled };
}

type Ribbon = Omit<RibbonDrawing, 'controls'> & { shown: Shown; look: RibbonLook; rolledPx: number };

/** A leg as it was drawn last, where, and what it was drawn from. */
type KeptColumn = { canvas: HTMLCanvasElement; leftPx: number; from: readonly unknown[] };

function paintRibbon(canvas: HTMLCanvasElement, kept: KeptColumn[], ribbon: Ribbon): void {
  const { shown, trackId, frame, look, rolledPx } = ribbon;
  const { layout } = shown.resolved;
  const track = layout.tracks.find(({ id }) => id === trackId);
  const reckoned = shown.tracks.find(({ id }) => id === trackId);
  if (track?.kind !== 'items' || reckoned?.kind !== 'items') return;
  const sharpness = window.devicePixelRatio;
  // In whole pixels of the screen a column is put in its place as it is: between them it would be reckoned anew.
  const stops = stopsAlongM(reckoned).map(alongM => Math.round(alongPx(frame, alongM) * sharpness) / sharpness);
  const before = [...kept];
  reckoned.legs.forEach((leg, index) => keepColumn(kept, index, stops[index]!, leg, { ...ribbon, layout, track }));
  kept.length = reckoned.legs.length;
  const first = before.length === kept.length ? kept.findIndex((column, index) => column !== before[index]) : 0;
  if (first < 0) return;
  const paper = paperOf(canvas, frame.widthPx, seenPx(frame));
  const fromPx = first === 0 ? 0 : stops[first]!;
  paper.beginPath();
  paper.rect(fromPx, 0, frame.widthPx - fromPx, frame.heightPx);
  paper.clip();
  paper.clearRect(fromPx, 0, frame.widthPx - fromPx, frame.heightPx);
  for (const column of kept.slice(Math.max(0, first - 1)))
    paper.drawImage(column.canvas, column.leftPx, 0, column.canvas.width / sharpness, column.canvas.height / sharpness);
  paper.translate(0, -rolledPx);
  const posts = track.through.map(({ item }, index) => ({ xPx: stops[index]!, name: item.split(' ').pop() ?? '' }));
  paintPosts(paper, posts, frame.heightPx, look);
  paper.restore();
}

/** As much of the ribbon as is in sight. */
const seenPx = ({ heightPx }: RibbonFrame) => Math.min(heightPx, SEEN_PX);

type ColumnOf = Ribbon & { layout: Layout; track: ItemTrack };

/** Draws a leg unless it was; one that lies where it lay as it was stays the same object. */
function keepColumn(kept: KeptColumn[], index: number, stopPx: number, leg: ReckonedLeg, of: ColumnOf): void {
  const { frame, horses, chosen, format, look, rolledPx } = of;
  const { devicePixelRatio } = window;
  const roundPx = Math.ceil(ROUND_PX * devicePixelRatio) / devicePixelRatio;
  const leftPx = stopPx - roundPx;
  const from = [leg, frame, horses, chosen, format, look, rolledPx, devicePixelRatio];
  const before = kept[index];
  const isDrawn = before?.from.every((part, at) => part === from[at]) ?? false;
  if (before && isDrawn && before.leftPx === leftPx) return;
  const canvas = before?.canvas ?? document.createElement('canvas');
  kept[index] = { canvas, leftPx, from };
  if (isDrawn) return;
  const column = columnOf(leg, index, of);
  const paper = paperOf(canvas, column.widthPx + 2 * roundPx, seenPx(frame));
  paper.clearRect(0, 0, canvas.width, canvas.height);
  paper.translate(roundPx, -rolledPx);
  paintColumn(paper, column, look);
  paper.restore();
}

function columnOf(leg: ReckonedLeg, index: number, of: ColumnOf): RibbonColumn {
  const { layout, track, frame, horses, chosen, format, rolledPx } = of;
  const widthPx = leg.trackM * frame.pxPerM;
  const rowOf = (name: string) => horses.findIndex(one => one.name === name);
  const readings = leg.readings.filter(({ horse }) => isInSight(rowOf(horse), rolledPx, seenPx(frame)));
  return {
    widthPx,
    length: widthPx > LENGTH_FROM_PX ? format(leg.groundM) : '',
    rows: readings.map(reading => ({
      row: rowOf(reading.horse),
      feetPx: legMarksOf(layout, track, index, leg, reading.horse).map(({ alongM }) => alongM * frame.pxPerM),
      chosen: reading.horse === chosen,
      ...callWords(reading, widthPx),
    })),
  };
}

/** What to draw on a canvas of so many pixels of the page with, as sharp as the screen; to be restored. */
function paperOf(canvas: HTMLCanvasElement, widthPx: number, heightPx: number): CanvasRenderingContext2D {
  const sharpness = window.devicePixelRatio;
  const [width, height] = [Math.ceil(widthPx * sharpness), Math.ceil(heightPx * sharpness)];
  if (canvas.width !== width) canvas.width = width;
  if (canvas.height !== height) canvas.height = height;
  const paper = canvas.getContext('2d')!;
  paper.save();
  paper.setTransform(sharpness, 0, 0, sharpness, 0, 0);
  return paper;
}

/** The colours and letters that the page gives the ribbon. */
function lookOf(within: HTMLElement): RibbonLook {
  const style = getComputedStyle(within);
  const colour = (name: string) => style.getPropertyValue(`--roan-${name}`).trim();
  const fit = (name: string) => colour(`fit-${name}`);
  return {
    fontFamily: style.fontFamily,
    ink: colour('ink'),
    quiet: colour('quiet'),
    accent: colour('accent'),
    arch: colour('arch'),
    chosenArch: colour('arch-chosen'),
    fits: ['cold-3', 'cold-2', 'cold-1', 'even', 'warm-1', 'warm-2', 'warm-3'].map(fit),
  };
}
