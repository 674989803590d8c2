/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export type { CourseMeasure } from './measureCourse';
export { bestDirections } from './bestDirections';
