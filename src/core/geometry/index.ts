/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { distanceM, pointAlong, type PointM } from './pointM';
export { nearestBetween } from './nearestBetween';
export { facingFromHeading, headingFromFacing } from './angles';
export type { Pose } from './pose';
export { chainOf, poseAt, type Chain } from './chain';
export { earthFromSand, sandFromEarth, type EarthPlace } from './earthPlace';
export { placeMoved } from './frame';
