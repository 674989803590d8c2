/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { TAUGHT } from './catalogue';
export { FILTERS } from './filters';
export { LEAST_DAYS, LEAST_PASSES, type PairSeen } from './pairSeen';
export { ownExercise, purposesOf, questionsOver } from './ownLayouts';
export { riddenSteps, type RiddenOver } from './riddenSteps';
export { sideBySide, type AskedStage } from './sideBySide';
export type { RiddenStep, WorkKind } from './step';
export type { Suggestion } from './suggestLessons';
export { suggestFrom, type SuggestMaterial } from './suggestFrom';
export { TERMS, type Term } from './terms';
export { WEIGHTS, type TermKey } from './weights';
export { unevenIn } from './uneven';
