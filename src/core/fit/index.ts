/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { fitLayout, fitSteps, type Fit } from './fitLayout';
export type { LegFit } from './fitReading';
export { piecesOf, type FitMove, type FitPiece } from './pieces';
export { isKept, refitLayout, type Refit, type RefitHow } from './refitLayout';
