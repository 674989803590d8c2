import type { Layout, SettingSheet, Tolerance } from '@/core';
import type { PrintedLine, PrintedPiece } from '@/files/printedSheet';
import type { PicturedStep } from '@/files/stepPicture';

/** One thing to set, as the sheet shows it: a peg or a piece. */
export type SetStep = {
  id: string;
  /** "3" or "Peg 1". */
  label: string;
  name: string;
  /** Where it belongs: what a tick is for. */
  place: string;
  /** What its picture from above is drawn from. */
  pictured: { layout: Layout; sheet: SettingSheet; step: PicturedStep };
  lines: PrintedLine[];
  checks: PrintedPiece['checks'];
  notes: string[];
  tolerance: Tolerance | null;
  /** How far off it may end when it is walked; null with a tape. */
  walkedOffM: number | null;
  /** The same of its gap from the piece before, by itself; null where it has none. */
  gapOffM: number | null;
};
