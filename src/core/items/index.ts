/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { MAX_POLE_LENGTH_M, MIN_POLE_LENGTH_M, type RaisedEnds } from './pole';
export { itemsOutside } from './itemsOutside';
export { FENCE_FORMS, isRidden, type CornerShape, type Fence, type FenceForm, type Item } from './item';
export { aimFromFlagM, footprintCorners } from './footprint';
export { RAILS_ACROSS } from './railsAcross';
export { usualGroundLineM } from './groundLine';
export { kitOfAll, type Kit, type KitAtHand } from './kit';
export { itemWords, kindWords, nameWords, raisedWords } from './itemWords';
export { besideEnd } from './besideEnd';
