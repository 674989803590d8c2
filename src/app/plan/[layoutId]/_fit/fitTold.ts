import type { CautionLimits, Fit, FitPiece, Layout } from '@/core';

/** What a fit is asked: of one layout, for some of its horses. */
export type AskFit = { layout: Layout; pieces: FitPiece[]; horseIds: string[]; limits: CautionLimits };

/** What comes back: how far it is, with its best so far; and its end. */
export type FitSaid = { kind: 'step'; share: number; best: Fit } | { kind: 'done'; fit: Fit };
