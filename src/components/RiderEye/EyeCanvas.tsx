'use client';

import type { EyePicture } from '@/core';
import { useElementSize } from '@mantine/hooks';
import { useEffect, useRef } from 'react';
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
  const paper = useRef<CanvasRenderingContext2D | null>(null);
  useEffect(() => {
    const element = canvas.current;
    if (!element || width === 0 || height === 0) return;
    const sharp = window.devicePixelRatio || 1;
    const [widthPx, heightPx] = [Math.round(width * sharp), Math.round(height * sharp)];
    if (element.width !== widthPx) element.width = widthPx;
    if (element.height !== heightPx) element.height = heightPx;
    paper.current ??= element.getContext('2d');
    const picture = pictureOf(width / height);
    if (paper.current && picture) paintEye(paper.current, picture, { widthPx, heightPx, next });
  }, [canvas, pictureOf, next, width, height]);
  return (
    <div ref={ref} className={classes.place}>
      <canvas ref={canvas} role="img" aria-label={label} className={classes.canvas} />
    </div>
  );
}
