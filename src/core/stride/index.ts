/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export type { StrideWord } from './strideWord';
export type { School } from './school';
export type { DistanceCase } from './distanceRule';
export { countInWords } from './countInWords';
export { countName } from './callInWords';
export { chanceOfCount, readDistance } from './readDistance';
export { nearestToEven, offEven } from './offEven';
