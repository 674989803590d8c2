/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { expectedWork, plannedOf, plannedWork } from './expectedWork';
export { passWork, sumWork, workLeft, type Work } from './passWork';
export { questionWork, trackWork, type QuestionWork } from './questionWork';
export {
  dayShare,
  jumps,
  NO_EARLIER_WORK,
  workCounts,
  workOfPasses,
  workWarnings,
  type EarlierWork,
  type WorkCounts,
  type WorkLimits,
} from './workCounts';
export { workKindOf } from './workKindOf';
