/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { FOOTFALL_PLACES, meanFootfall, type Footfall } from './footfall';
export { passFootfalls, polesHit, type PassRecord } from './passRecord';
export type { RecordEvent } from './recordEvent';
export type { Join } from './join';
export {
  applyEvent,
  EMPTY_LOG,
  passRecord,
  ridesNow,
  standingPasses,
  standingRecord,
  withNews,
  type LoggedAsk,
  type LoggedBreak,
  type LoggedPass,
  type RecordLog,
} from './recordLog';
export { changedThing, standingChange, type ChangedValue, type RecordChange } from './recordChange';
export { doubledPasses } from './doubledPasses';
export { recordConflicts } from './recordConflicts';
export { amend, bare, reverseTap, sayMark, type Saying } from './sayMark';
export { changeOver, firstSaid, reversal, tapHistory, type Act, type Tap } from './tapHistory';
export { polesKeptHitting } from './polesKeptHitting';
export { suggestSpacing, type SpacingSuggestion } from './suggestSpacing';
export { FEET, countInLane, simulateRide, type Foot, type FootLanding, type SimulatedGait } from './simulateRide';
export { PASS_SPREAD } from './strideInterval';
export {
  meanQuality,
  readStrideTest,
  TEST_QUALITIES,
  type TestQuality,
  TEST_PACES,
  USUAL_LANE_M,
  type PaceReading,
  type StrideTestReading,
  type TestLane,
  type TestPace,
  type TestPass,
} from './strideTest';
export { profileFromTest, suggestEntries } from './testToProfile';
export { ownStep, walkedError, type OwnStep } from './ownStep';
export {
  DEPARTS,
  FENCE_OUTCOMES,
  SLIPS,
  FIGURE_POINTS,
  HEAD_HEIGHTS,
  LANDINGS,
  LEADS,
  MOST_NOTE_LETTERS,
  RIDE_FAULTS,
  standingMarks,
  TAKE_OFFS,
  TRANSITIONS,
  type PassMark,
  type PassMarkKind,
  type TappedMark,
} from './passMark';
export { RIDE_DIRECTIONS, type RideDirection } from './rideDirection';
export { isVoid, lineRidden } from './passJudged';
export { beforeAfterOf } from './beforeAfter';
export type { LessonRecord } from './lessonRecord';
export { changedAfterwards } from './changedAfterwards';
export { fractionShort, markWords } from './markWords';
export { recordedPass, type RecordedPass } from './recordedPass';
export { USUAL_MANNER, type StandInManner } from './standInMarks';
export { standInRide, USUAL_MISTAKES } from './standInRide';
export { USUAL_NOISE, type TrackPoint } from './simulatePass';
export { headWanted } from './headWanted';
export { eventAtMs } from './eventAtMs';
