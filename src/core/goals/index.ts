/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { REIN_MEASURES, type Goal, type GoalMeasure } from './goal';
export { shelfFacts } from './shelfFacts';
export { goalProgress, type GoalProgress, type GoalRecord } from './goalProgress';
