/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { isShortestWay } from './isShortestWay';
export {
  DEFAULT_LEG,
  type Layout,
  type LayoutHorse,
  type FigureTrack,
  type ItemTrack,
  type LegTrackChoice,
  type PlannedLeg,
  type PlannedTrack,
} from './layout';
export { layoutLabels, type Labels } from './labels';
export { countsAround, countsOnLeg, type CountRead } from './countsOnLeg';
export { groupGlance, type GlanceWord, type HorseGlance } from './groupGlance';
export { stopNumbers, type StopNumber } from './stopNumbers';
export { gaitWord, TRACK_GAITS, type TrackGait } from './trackGait';
export { countedGroundM, distanceCaseOf, layoutReckoner, reckonItemTrack, reckonLayout } from './reckonLayout';
export type { ReckonedItemTrack, ReckonedFigureTrack, ReckonedTrack } from './reckonedTrack';
export { laneStride, layoutStride, settingAt } from './layoutStrides';
export type { HorseReading, ReckonedLeg } from './reckonedLeg';
export { sessionStrides, type HorseStrides } from './sessionStrides';
export { applyEdits, type LayoutEdit } from './layoutEdit';
export { moveForGround } from './moveForGround';
export { chainsOf, poseOnTrack, slideStop, stopsAlongM } from './alongTrack';
export { layoutWork, type TrackWork } from './layoutWork';
export { leadMarks, legMarks, type HoofMark, type LeadMark } from './legMarks';
export { makeItSo } from './makeItSo';
export { riddenRow } from './riddenRow';
