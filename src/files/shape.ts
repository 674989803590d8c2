import type { PointM } from '@/core';

/**
 * A layout as shapes on paper, metres with y down, for any kind of file: paths in the notation of SVG, and short texts.
 */
export type PathShape = {
  kind: 'path';
  d: string;
  stroke: string | null;
  strokeM: number;
  fill: string | null;
  dashM: number | null;
};
export type TextShape = { kind: 'text'; x: number; y: number; text: string; sizeM: number; bold: boolean };
export type Shape = PathShape | TextShape;

export const rounded = (metres: number) => Math.round(metres * 1e4) / 1e4 + 0;

/** From the sand to paper, metres, y down. */
export function paperPoint(lengthM: number, lies: 'up' | 'along'): (point: PointM) => { x: number; y: number } {
  return lies === 'up' ? ({ xM, yM }) => ({ x: xM, y: lengthM - yM }) : ({ xM, yM }) => ({ x: yM, y: xM });
}

export function pathShape(
  d: string,
  { stroke = null, strokeM = 0, fill = null, dashM = null }: Partial<PathShape>,
): PathShape {
  return { kind: 'path', d, stroke, strokeM, fill, dashM };
}

export function textShape({ x, y }: { x: number; y: number }, words: string, sizeM: number, bold = false): TextShape {
  return { kind: 'text', x: rounded(x), y: rounded(y), text: words, sizeM, bold };
}
