import type { LookName } from './looks';

/**
 * What a drawing of the sand is made of, in metres of paper. The same shapes are shown as SVG, where they are pressed and
 * read, and on a canvas, where a drag draws them anew in every frame. How they look is said by name (looks.ts).
 */
export type Shape = PathShape | TextShape;

export type PathShape = {
  kind: 'path';
  d: string;
  look: LookName;
  /** How wide its line is, metres, where the style sheet does not say. */
  strokeM?: number;
  dashM?: number;
  /** The part of an item that says where it lies. */
  rail?: boolean;
  /** A print: which of a leg. */
  hoof?: string;
  /** The lead that it shows, for whoever points at it. */
  lead?: 'left' | 'right';
};

/** Words about the middle of a place; parts of them may look otherwise. */
export type TextShape = {
  kind: 'text';
  x: number;
  y: number;
  sizeM: number;
  look: LookName;
  runs: readonly Run[];
};

export type Run = { words: string; look?: LookName };

/** A circle as a path. */
export function circlePath({ x, y }: { x: number; y: number }, radiusM: number): string {
  return `M${x - radiusM} ${y}a${radiusM} ${radiusM} 0 1 0 ${2 * radiusM} 0a${radiusM} ${radiusM} 0 1 0 ${-2 * radiusM} 0Z`;
}

/** A straight line as a path. */
export function linePath(from: { x: number; y: number }, to: { x: number; y: number }): string {
  return `M${from.x} ${from.y}L${to.x} ${to.y}`;
}
