'use client';

import type { EyePicture } from '@/core';
import { useElementSize } from '@mantine/hooks';
import { useEffect } from 'react';
import { paintEye } from './paintEye';
import classes from './EyeCanvas.module.css';

type EyeCanvasProps = {
  /** What is seen in a picture of that shape: its width by its height. */
  pictureOf: (aspect: number) => EyePicture | null;
  /** What is ridden at next. */
  next: string | null;
  label: string;
  canvas: React.RefObject<HTMLCanvasElement | null>;
};

/** What a rider sees, painted as often as it changes, as large as its place. */
export function EyeCanvas({ pictureOf, next, label, canvas }: EyeCanvasProps) {
  const { ref, width, height } = useElementSize();
  useEffect(() => {
    const element = canvas.current;
    if (!element || width === 0 || height === 0) return;
    const sharp = window.devicePixelRatio || 1;
    const [widthPx, heightPx] = [Math.round(width * sharp), Math.round(height * sharp)];
    const picture = pictureOf(width / height);
    if (picture) paintOn(element, picture, { widthPx, heightPx, next });
  }, [canvas, pictureOf, next, width, height]);
  return (
    <div ref={ref} className={classes.place}>
      <canvas ref={canvas} role="img" aria-label={label} className={classes.canvas} />
    </div>
  );
}

type PaintWish = Parameters<typeof paintEye>[2];

/** Paints on a canvas that has as many dots as its place. */
function paintOn(canvas: HTMLCanvasElement, picture: EyePicture, wish: PaintWish): void {
  // Setting a size anew wipes a canvas, and costs a frame.
  if (canvas.width !== wish.widthPx) canvas.width = wish.widthPx;
  if (canvas.height !== wish.heightPx) canvas.height = wish.heightPx;
  const paper = canvas.getContext('2d');
  if (paper) paintEye(paper, picture, wish);
}
