/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { DISCLAIMER, usualCautions } from './usualCautions';
export type { Caution } from './caution';
export { USUAL_LIMITS, type CautionLimits } from './cautionLimits';
export { withDayLimits } from './plannedWork';
export { layoutCautions } from './layoutCautions';
export { planCautions } from './planCautions';
export { offerMend } from './offerMend';
