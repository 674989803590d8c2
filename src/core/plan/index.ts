/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { EMPTY_PLAN, type PlacedRecipe, type Plan, type PlanHorse } from './plan';
export {
  exerciseGround,
  exerciseLabel,
  planResolver,
  USUAL_HORSE,
  type LaidOut,
  type LayOut,
  type PlanGround,
  type ResolvedExercise,
  type ResolvedPlan,
} from './resolvePlan';
export {
  alignThings,
  lockThings,
  mirrorThings,
  moveThings,
  removeThings,
  spaceThings,
  thingAt,
  thingIds,
  turnThings,
} from './things';
export { layOutPlaced, resolvePlan } from './layOutPlaced';
export { breakApart, brokenBy, editPlan } from './breakApart';
export { oneMore } from './oneMore';
export { dragFigure, isAtItsLetters, sidewaysLine, type FigureGrip, type FigureDrag } from './dragFigure';
export { typeAsked, typeDistance } from './typedDistance';
export { typeHeight } from './typedHeight';
export { callWords, flatCalls } from './flatCall';
export { inSessionOrder } from './sessionOrder';
export { callSheet, turnWords, type CallLine } from './callSheet';
export { copyThings } from './copyThings';
export { arrangementOf, placeArrangement, placeExercise } from './placeExercise';
export { ITEM_CHOICES, newItem, type ItemChoice } from './newItem';
export { planChanges, type PlanChange } from './planChanges';
export { isOnGuide, snapPlace, type SnapGuide } from './snap';
export { snapToCount } from './snapToCount';
export { soundPlan } from './soundPlan';
export {
  appendStop,
  comesFromBehind,
  dropLastStop,
  moveStop,
  removeStop,
  removeTrack,
  renameThing,
  withTrack,
} from './tracksByHand';
export { withAsked } from './withAsked';
export { fittedPlan } from './fittedPlan';
export { refittedPlan } from './refittedPlan';
export { composedPlan } from './composedPlan';
