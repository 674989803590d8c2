import { useLayoutEffect, useRef, type CSSProperties } from 'react';
import classes from './PaintedCanvas.module.css';
import type { Part } from './told';
import type { Painting } from './useHandPainter';

type PaintedCanvasProps = { painting: Painting; part: Part; className?: string; style?: CSSProperties };

/** How long a ribbon stays under the one that comes after it, milliseconds: until that one is painted. */
const UNDER_MS = 300;

/** Where a painter paints. A canvas that was handed over cannot be had back: another painter gets another one. */
export function PaintedCanvas({ painting, part, className, style }: PaintedCanvasProps) {
  const host = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const canvas = document.createElement('canvas');
    canvas.className = classes.canvas!;
    host.current?.append(canvas);
    const handed = painting.place === 'worker' ? canvas.transferControlToOffscreen() : canvas;
    painting.tell({ kind: 'canvas', part, canvas: handed });
    return () => {
      painting.tell({ kind: 'canvas', part, canvas: null });
      if (part === 'sand') canvas.remove();
      else setTimeout(() => canvas.remove(), UNDER_MS);
    };
  }, [painting, part]);
  return (
    <div
      ref={host}
      className={className}
      style={style}
      aria-hidden="true"
      data-painted={part}
      data-painted-in={painting.place}
    />
  );
}
