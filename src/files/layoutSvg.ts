import type { Layout, ReckonedTrack } from '@/core';
import { drawingSheet, layoutShapes, scaleBar } from './layoutShapes';
import type { Shape } from './shape';
import type { StepPicture } from './stepPicture';

/** A layout as an SVG file: one unit is one metre, A at the bottom, printed at 1:100 where a program keeps the size. */

const MM_PER_M = 10;
const TEXT_M = 0.9;

/** Draws a layout with its tracks, for any program that opens SVG. */
export function layoutSvg(layout: Layout, tracks: readonly ReckonedTrack[]): string {
  const wish = { lies: 'up', numbers: null, textM: TEXT_M, unit: 'm' } as const;
  const { x, y, widthM, heightM } = drawingSheet(layout, wish);
  const bar = scaleBar(layout, wish);
  const size = (metres: number) => Math.round(metres * MM_PER_M * 100) / 100;
  const box = [x, y, widthM, heightM].map(value => Math.round(value * 1e4) / 1e4).join(' ');
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${size(widthM)}mm" height="${size(heightM)}mm" viewBox="${box}" font-family="sans-serif" data-scale-bar-m="${bar.lengthM}">`,
    `<title>${escaped(layout.name)}</title>`,
    ...layoutShapes(layout, tracks, wish).map(element),
    '</svg>',
    '',
  ].join('\n');
}

const ESCAPES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

function escaped(text: string): string {
  return text.replace(/[&<>"]/g, letter => ESCAPES[letter]!);
}

/** A picture of one step of setting, by itself. */
export function stepSvg({ box, shapes }: StepPicture): string {
  const view = [box.x, box.y, box.widthM, box.heightM].map(value => Math.round(value * 1e3) / 1e3).join(' ');
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${view}" font-family="sans-serif">${shapes.map(element).join('')}</svg>`;
}

function element(shape: Shape): string {
  if (shape.kind === 'text') {
    const weight = shape.bold ? ' font-weight="bold"' : '';
    return `<text x="${shape.x}" y="${shape.y}" dy="0.35em" font-size="${shape.sizeM}" text-anchor="middle"${weight}>${escaped(shape.text)}</text>`;
  }
  const { d, stroke, strokeM, fill, dashM } = shape;
  const line = stroke === null ? '' : ` stroke="${stroke}" stroke-width="${strokeM}"`;
  const dash = dashM === null ? '' : ` stroke-dasharray="${dashM} ${dashM}"`;
  return `<path d="${d}" fill="${fill ?? 'none'}"${line}${dash}/>`;
}
