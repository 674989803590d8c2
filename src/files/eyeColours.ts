import type { Tone } from '@/core';

/** How what a rider sees is coloured: the sand's own colours, as it is drawn from above. */
export const EYE_COLOURS: Record<Tone, readonly [red: number, green: number, blue: number]> = {
  rail: [255, 253, 248],
  band: [143, 56, 32],
  stand: [69, 80, 95],
  filler: [185, 169, 138],
  panel: [195, 171, 140],
  cone: [201, 138, 82],
  block: [92, 102, 114],
  flag: [47, 109, 163],
  wall: [201, 190, 164],
  thing: [110, 98, 78],
};
export const EYE_SKY = ['#d9dee2', '#f7f4ec'] as const;
export const EYE_SAND = ['#d3c4a3', '#eadfc8'] as const;
export const EYE_GRID = 'rgb(122 106 74 / 35%)';
export const EYE_EDGE = 'rgb(52 42 26 / 55%)';
/** The same on paper, where nothing shines through. */
export const EYE_GRID_SOLID = '#bcab86';
export const EYE_EDGE_SOLID = '#8a7d66';
export const EYE_INK = '#20262e';

/** A colour in more or less light. */
export function inLight(tone: Tone, light: number): string {
  return `rgb(${EYE_COLOURS[tone].map(part => Math.round(part * light)).join(' ')})`;
}

/** The same as paper has it. */
export function hexInLight(tone: Tone, light: number): string {
  return `#${EYE_COLOURS[tone]
    .map(part =>
      Math.round(part * light)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}
