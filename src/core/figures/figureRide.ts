import type { RidePiece } from './stretch';

/** A figure as it is ridden, or why it cannot be. */
export type FigureRide = { ok: true; pieces: RidePiece[] } | { ok: false; reason: string };
