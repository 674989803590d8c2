/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { FIGURE_KINDS, RESTS, type Figure, type FigurePart, type PlannedFigure, type StationDeed } from './figure';
export { changeOfRein, CHANGES_OF_REIN, letterPose } from './figurePlaces';
export { figureWords } from './figureWords';
export { rideSession } from './rideSession';
export { measureSession, type SessionMeasure } from './measureSession';
export { horseSpeedMPerMin } from './horseSpeed';
export { eveningCircle, sessionBalance, type Lack } from './sessionBalance';
export { gaitSpeedMPerMin } from './gaitSpeed';
export { strideMarks, type StrideMark } from './strideMarks';
export { sessionBands, type SessionBand } from './sessionBands';
export type { RidePiece } from './stretch';
export { sidewaysEnd } from './rideSideways';
export { figureParts } from './figureParts';
export { transitionsAsked } from './transitionsAsked';
