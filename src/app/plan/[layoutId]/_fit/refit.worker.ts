import { refitLayout, type Arena, type CautionLimits, type FitPiece, type Layout, type Refit } from '@/core';

/** What is asked: a layout on another sand. */
export type AskRefit = { layout: Layout; arena: Arena; pieces: FitPiece[]; horseIds: string[]; limits: CautionLimits };
export type RefitSaid = Refit;

/** Takes a layout to another sand beside the page, which stays in hand. */
self.onmessage = ({ data: { layout, arena, ...wish } }: MessageEvent<AskRefit>) => {
  postMessage(refitLayout(layout, arena, wish) satisfies RefitSaid);
};
