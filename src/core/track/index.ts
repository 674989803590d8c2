/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { measureLeg, threeTracks, type LegGround, type RiddenEnd } from './leg';
export { otherRein, REINS, type Rein } from './rein';
export { gaitRadiusM } from './gaitRadius';
