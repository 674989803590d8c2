/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { countsThatCanBe, tapsFromFirst, tapStride, type TapRun } from './strideTaps';
export { whereToStand } from './whereToStand';
export { padSteps, type PadStep } from './padSteps';
