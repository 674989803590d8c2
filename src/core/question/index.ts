/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { askedLayout } from './askedLayout';
export { AS_LAID_OUT, HOLE_M, overState, type BuiltState } from './builtState';
export { leftOut, madeQuestion, withStop, type MadeStops } from './madeQuestion';
export { countsAsked, offeredQuestions, questionToday, type OfferedQuestion } from './offeredQuestions';
export { AS_OF_ALL, questionOfPair, type AskedQuestion, type PairAsk } from './pairAsk';
export { UNTOLD_QUESTION, type Question, type TrackOrFigures } from './question';
export { questionKey, trackKey } from './questionKey';
export { labelsAsBuilt } from './labelsAsBuilt';
export { questionWords } from './questionWords';
export { readForPairs, outOfReachWords, saidOfPair, type PairLeg } from './readForPairs';
export { hasReins, nearestWay, waysToRide, type RideWay } from './waysToRide';
export { marksFit } from './marksFit';
