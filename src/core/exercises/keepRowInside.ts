import type { Arena } from '../arena/arena';
import { POLE_DIAMETER_M } from '../items/pole';
import type { PoleRow } from './poleRow';

export type KeptRow = { ok: true; row: PoleRow; moved: boolean } | { ok: false; reason: string };

/** Half of the room a row takes along x and along y, metres, pole thickness included. */
function halfExtentM(row: PoleRow, spacingM: number): { xM: number; yM: number } {
  const alongM = ((row.raised.length - 1) * spacingM + POLE_DIAMETER_M) / 2;
  const acrossM = row.poleLengthM / 2;
  const cos = Math.abs(Math.cos(row.headingRad));
  const sin = Math.abs(Math.sin(row.headingRad));
  return { xM: alongM * cos + acrossM * sin, yM: alongM * sin + acrossM * cos };
}

/**
 * Moves a row by the least that brings every pole onto the sand.
 * @param spacingM - centre to centre, > 0
 * @returns the row where it may lie, or why it fits nowhere at this heading
 */
export function keepRowInside(arena: Arena, row: PoleRow, spacingM: number): KeptRow {
  const half = halfExtentM(row, spacingM);
  if (half.xM * 2 > arena.widthM || half.yM * 2 > arena.lengthM) {
    const neededM = Math.max(half.xM * 2 - arena.widthM, half.yM * 2 - arena.lengthM);
    return {
      ok: false,
      reason: `The row does not fit this way round: it needs ${neededM.toFixed(2)} m more sand. Turn it, take a pole out, or set it closer.`,
    };
  }
  const xM = clamp(row.centre.xM, half.xM, arena.widthM - half.xM);
  const yM = clamp(row.centre.yM, half.yM, arena.lengthM - half.yM);
  const moved = xM !== row.centre.xM || yM !== row.centre.yM;
  return { ok: true, moved, row: moved ? { ...row, centre: { xM, yM } } : row };
}

function clamp(value: number, low: number, high: number): number {
  return Math.min(Math.max(value, low), high);
}
