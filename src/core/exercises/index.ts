/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { POLE_GAITS, type PoleGait, type PoleRow } from './poleRow';
export { rowSpacing } from './rowSpacing';
export { layOutPoleRow } from './layOutPoleRow';
export { rowFit, type RowFit } from './rowFit';
export { exerciseText } from './exerciseSearch';
export { gridWords, withElement, withoutElement } from './gridElements';
export {
  FAILURE_POLICIES,
  PURPOSES,
  SEATS,
  type ExerciseGround,
  type ExerciseParam,
  type ExerciseParams,
  type Guidance,
  type LaidExercise,
  type Purpose,
  type Recipe,
  type Stage,
} from './exercise';
export { findRecipe, isForGaited, isForRider, SHELF } from './shelf';
export { isChosenPlace, isPlaceKey, placeOptions, type PlaceKey } from './figureLetters';
export { paramFault, paramsFault, paramSpecs, type ParamSpec } from './exerciseParams';
export { exerciseSketch, layOutExercise, type PlacedExercise } from './layOutExercise';
export { stageLayout } from './stageLayout';
