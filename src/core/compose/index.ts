/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { composeCourses, composeSteps, type ComposeStep, type ComposeWish, type Proposal } from './composeCourse';
export type { Stroke, StrokeKind } from './courseDraft';
