/** The core's one door: everything outside src/core imports from here. */
export { assertNever } from './assertNever';

export { LENGTH_UNITS, M_PER_FT, M_PER_IN, M_PER_YD, M_PER_HAND, type LengthUnit } from './units/lengthUnits';
export { parseLength, type ParsedLength, type ParseLengthOptions, type UsualLength } from './units/parseLength';
export { scaleBarOf } from './units/scaleBar';
export { sayLengths } from './units/sayLengths';
export { formatTape } from './units/formatTape';
export { tapeGrids } from './units/tapeGrids';
export { formatLength, formatReading, type FormatLengthOptions } from './units/formatLength';
export { stepsText } from './units/stepsText';
export { stepsAndRemainder, type StepsAndRemainder } from './units/stepsAndRemainder';

export { distanceM, midpoint, pointAlong, type PointM } from './geometry/pointM';
export { nearestBetween } from './geometry/nearestBetween';
export { facingFromHeading, headingFromFacing, normaliseRad } from './geometry/angles';

export {
  arenaFault,
  ARENA_THING_KINDS,
  isInsideArena,
  toThingM,
  toWallM,
  MAX_ARENA_SIDE_M,
  MIN_ARENA_SIDE_M,
  type Arena,
  type ArenaLetters,
  type ArenaThing,
  type ArenaThingKind,
  type Wall,
} from './arena/arena';
export { sideMarks, type SideMark } from './arena/sideMarks';
export { arenaLetters, type ArenaLetter } from './arena/arenaLetters';
export { arenaCorners, arenaWalls } from './arena/arenaWalls';
export { thingWords } from './arena/thingWords';
export {
  keptOutline,
  MOST_CORNERS,
  outlineAreaM2,
  outlineFault,
  walkedOutline,
  type WalkedWall,
} from './arena/outline';
export { arenaLines, type ArenaLine } from './arena/arenaLines';
export { wallName } from './arena/wallName';
export { placeWords } from './arena/placeWords';

export { HORSE_LEVELS, type HorseLevel } from './horse/horseLevel';
export { HORSE_TYPES, MAX_HORSE_HEIGHT_M, MIN_HORSE_HEIGHT_M, type HorseType } from './horse/horse';
export {
  GAITED_GAITS,
  isGaitedGait,
  STRIDE_ENTRY_KEYS,
  type GaitedGait,
  type StrideEntryKey,
  type StrideRange,
} from './horse/strideEntry';
export { defaultStride } from './horse/defaultStrides';
export {
  profileStride,
  strideCertainty,
  type HorseProfile,
  type ProfileStride,
  type StrideInterval,
  type StrideSource,
} from './horse/strideProfile';

export { strideWord, STRIDE_WORDS, type StrideWord } from './stride/strideWord';

export {
  isRaised,
  MAX_POLE_LENGTH_M,
  MAX_RAISED_M,
  MIN_POLE_LENGTH_M,
  POLE_DIAMETER_M,
  poleEnds,
  type Pole,
  type RaisedEnds,
} from './items/pole';

export {
  ENTRY_OF_GAIT,
  MAX_ROW_POLES,
  MAX_SPACING_M,
  MIN_ROW_POLES,
  MIN_SPACING_M,
  POLE_GAITS,
  type PoleGait,
  type PoleRow,
  type RowSpacing,
} from './exercises/poleRow';
export { RAISED_CLOSER_M, rowSpacing, type RowSpacingReading } from './exercises/rowSpacing';
export { layOutPoleRow } from './exercises/layOutPoleRow';
export { rowFit, type RowFit } from './exercises/rowFit';

export { FOOTFALL_PLACES, footfallChanges, meanFootfall, type Footfall } from './record/footfall';
export { itemsOutside } from './items/itemsOutside';
export { layoutHorse } from './horse/layoutHorse';
export { passFootfalls, polesHit, type PassRecord } from './record/passRecord';
export type { RecordEvent } from './record/recordEvent';
export type { Join } from './record/join';
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
  type LoggedMark,
  type LoggedPass,
  type RecordLog,
} from './record/recordLog';
export {
  changedThing,
  lastChanges,
  standingChange,
  type ChangedValue,
  type RecordChange,
  type StageOfPass,
} from './record/recordChange';
export { doubledPasses } from './record/doubledPasses';
export { recordConflicts, type RecordConflict } from './record/recordConflicts';
export { amend, bare, reverseTap, sayMark, type Saying } from './record/sayMark';
export { changeOver, firstSaid, reversal, tapHistory, type Act, type Shown, type Tap } from './record/tapHistory';
export { polesKeptHitting } from './record/polesKeptHitting';
export {
  footfallDirection,
  suggestSpacing,
  type FootfallDirection,
  type SpacingSuggestion,
} from './record/suggestSpacing';

export { DISCLAIMER, usualCautions } from './cautions/usualCautions';

export type { Pose } from './geometry/pose';
export {
  chainEnd,
  chainOf,
  nearestOnChain,
  netTurnRad,
  poseAt,
  reversedChain,
  smallestRadiusM,
  type Chain,
} from './geometry/chain';
export { earthFromSand, sandFromEarth, type EarthPlace } from './geometry/earthPlace';
export { chainCrossings } from './geometry/intersections';
export { isChainInside, wallClearanceM } from './geometry/insideArena';
export { sideOffset, type OffsetTrack } from './geometry/sideOffset';

export {
  FENCE_FORMS,
  isRidden,
  type CornerShape,
  type Fence,
  type FenceForm,
  type Item,
  type RiddenItem,
} from './items/item';
export {
  aimFromFlagM,
  footprint,
  footprintCorners,
  ridingHeightM,
  mayRideFromBehind,
  ridingDepthM,
  ridingPose,
} from './items/footprint';
export { RAILS_ACROSS } from './items/railsAcross';
export { USUAL_STRIDE } from './horse/usualStride';
export { isShortestWay } from './layout/isShortestWay';
export { usualGroundLineM } from './items/groundLine';
export { placeMoved } from './geometry/frame';
export { kitOf, kitOfAll, type Kit, type KitAtHand } from './items/kit';
export { itemWords, kindWords, nameWords, raisedWords } from './items/itemWords';

export type { Approach, School, Setting } from './stride/school';
export type { DistanceCase } from './stride/distanceRule';
export { countInWords } from './stride/countInWords';
export { countName } from './stride/callInWords';
export {
  chanceOfCount,
  groundForCountM,
  readCount,
  readDistance,
  type DistanceOption,
  type DistanceReading,
  type TestedStride,
} from './stride/readDistance';
export { groupGround, type GroupGround } from './stride/groupGround';
export { jumpAllowanceM } from './stride/jumpAllowance';

export { dubinsShortest, dubinsWord, DUBINS_WORDS, type DubinsTrack, type DubinsWord } from './track/dubins';
export { naturalTrack, type NaturalTrack } from './track/naturalTrack';
export {
  directLeg,
  naturalLeg,
  wideLeg,
  viaLeg,
  measureLeg,
  threeTracks,
  type ThreeTracks,
  type LegGround,
  type RiddenEnd,
} from './track/leg';
export { otherRein, REINS, type Rein } from './track/rein';
export {
  FIGURE_KINDS,
  RESTS,
  SIDEWAYS_MOVEMENTS,
  type Figure,
  type FigureKind,
  type FigurePart,
  type Pace,
  type PlannedFigure,
  type SidewaysMovement,
  type StationDeed,
} from './figures/figure';
export { changeOfRein, CHANGES_OF_REIN, letterPose, wallPose, type ChangeOfReinWay } from './figures/figurePlaces';
export { figureWords } from './figures/figureWords';
export { rideFigure } from './figures/rideFigure';
export { rideSession, type Session } from './figures/rideSession';
export { measureSession, type SessionMeasure } from './figures/measureSession';
export { horseSpeedMPerMin } from './figures/horseSpeed';
export { eveningCircle, sessionBalance, type Lack, type SessionBalance } from './figures/sessionBalance';
export { gaitSpeedMPerMin } from './figures/gaitSpeed';
export { strideMarks, type StrideMark } from './figures/strideMarks';
export { sessionBands, type SessionBand } from './figures/sessionBands';
export type { RidePiece, Sideways, Station, Stretch } from './figures/stretch';
export { courseTime, type CourseTime } from './course/courseTime';
export { measureCourse, type CourseMeasure } from './course/measureCourse';
export type { RelatedDistance } from './course/relatedDistances';
export { bestDirections, type CourseStop } from './course/bestDirections';
export type { Fall } from './arena/fall';
export { gaitRadiusM } from './track/gaitRadius';
export {
  DEFAULT_LEG,
  type Layout,
  type LayoutHorse,
  type CoursePlan,
  type FigureTrack,
  type ItemTrack,
  type LegTrackChoice,
  type PlannedLeg,
  type PlannedTrack,
} from './layout/layout';
export { layoutLabels, type Labels } from './layout/labels';
export { countsAround, countsOnLeg, type CountRead, type HorseCounts } from './layout/countsOnLeg';
export { groupGlance, type GlanceWord, type HorseGlance } from './layout/groupGlance';
export { exerciseText } from './exercises/exerciseSearch';
export type { FilmGait, FilmMark, TimedFilmMark } from './film/filmMark';
export { filmReading, hasSlipped, type AskedInFilm, type FilmReading, type FilmStretch } from './film/filmReading';
export { filmMarkWords, filmSentences, filmTime } from './film/filmWords';
export { GAIT_WORDS, sayGaits, type GaitWords } from './words/gaitWords';
export { howMany } from './words/howMany';
export { hasWords, plainWords } from './words/plainWords';
export { gridWords, withElement, withoutElement } from './exercises/gridElements';
export { stopNumbers, type StopNumber } from './layout/stopNumbers';
export { gaitWord, TRACK_GAITS, type TrackGait } from './layout/trackGait';
export { countedGroundM, distanceCaseOf, layoutReckoner, reckonItemTrack, reckonLayout } from './layout/reckonLayout';
export type { ReckonedItemTrack, ReckonedFigureTrack, ReckonedTrack } from './layout/reckonedTrack';
export { laneStride, layoutStride, settingAt } from './layout/layoutStrides';
export type { HorseReading, ReckonedLeg } from './layout/reckonedLeg';
export { sessionStrides, type HorseStrides } from './layout/sessionStrides';
export type { Caution, CautionCode, CautionLevel, CautionPlace } from './cautions/caution';
export { USUAL_LIMITS, type CautionLimits } from './cautions/cautionLimits';
export { withDayLimits } from './cautions/plannedWork';
export { layoutCautions } from './cautions/layoutCautions';
export { planCautions } from './cautions/planCautions';
export { offerMend } from './cautions/offerMend';
export { applyEdits, type LayoutEdit } from './layout/layoutEdit';
export { moveForGround, type MovedLine } from './layout/moveForGround';

export {
  FAILURE_POLICIES,
  PURPOSES,
  SEATS,
  type ExerciseFact,
  type ExerciseGround,
  type ExerciseParam,
  type ExerciseParams,
  type FailurePolicy,
  type Guidance,
  type LaidExercise,
  type Purpose,
  type Recipe,
  type Seat,
  type Stage,
  type StageSet,
  type StopRule,
} from './exercises/exercise';
export { findRecipe, isForGaited, isForRider, SHELF } from './exercises/shelf';
export { isChosenPlace, isPlaceKey, PLACE_KEYS, placeOptions, type PlaceKey } from './exercises/figureLetters';
export { sidewaysEnd } from './figures/rideSideways';
export { paramFault, paramsFault, paramSpecs, RAISED_WAYS, type ParamSpec } from './exercises/exerciseParams';
export { exerciseSketch, layOutExercise, type ExerciseWish, type PlacedExercise } from './exercises/layOutExercise';
export { stageLayout } from './exercises/stageLayout';

export {
  FEET,
  countInLane,
  simulateRide,
  type Foot,
  type FootLanding,
  type SimulatedGait,
} from './record/simulateRide';
export {
  stridesInLane,
  strideOfLane,
  PASS_SPREAD,
  type CountedPass,
  type StridesInLane,
} from './record/strideInterval';
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
} from './record/strideTest';
export { profileFromTest, suggestEntries, type EntrySuggestion } from './record/testToProfile';
export { ownStep, walkedError, type OwnStep, type StepWalk } from './record/ownStep';
export { distanceCard, type CommonDistance, type CountRange, type DistanceCard } from './horse/distanceCard';
export { seededNormal, seededRandom } from './statistics/seededRandom';

export { chainsOf, poseOnTrack, slideStop, stopsAlongM } from './layout/alongTrack';
export { layoutWork, type TrackWork } from './layout/layoutWork';
export { leadMarks, legMarks, shownCount, type HoofMark, type LeadMark } from './layout/legMarks';
export { makeItSo, type MadeSo } from './layout/makeItSo';
export { riddenRow, type RiddenRow } from './layout/riddenRow';

export { EMPTY_PLAN, type PlacedRecipe, type Plan, type PlanHorse } from './plan/plan';
export {
  exerciseGround,
  exerciseLabel,
  groupOf,
  planResolver,
  USUAL_HORSE,
  type LaidOut,
  type LayOut,
  type PlanGround,
  type ResolvedExercise,
  type ResolvedPlan,
} from './plan/resolvePlan';
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
} from './plan/things';
export { layOutPlaced, resolvePlan } from './plan/layOutPlaced';
export { breakApart, brokenBy, editPlan } from './plan/breakApart';
export { oneMore } from './plan/oneMore';
export {
  dragFigure,
  figuresHome,
  isAtItsLetters,
  sidewaysLine,
  type FigureGrip,
  type FigureDrag,
} from './plan/dragFigure';
export { typeAsked, typeDistance, type TypedDistance } from './plan/typedDistance';
export { typeHeight } from './plan/typedHeight';
export { nearestToEven, offEven } from './stride/offEven';
export { callWords, flatCalls, type FlatCall } from './plan/flatCall';
export { inSessionOrder } from './plan/sessionOrder';
export { callSheet, turnWords, type CallLine } from './plan/callSheet';
export { copyThings } from './plan/copyThings';
export { arrangementOf, placeArrangement, placeExercise } from './plan/placeExercise';
export { ITEM_CHOICES, newItem, type ItemChoice } from './plan/newItem';
export { planChanges, type PlanChange } from './plan/planChanges';
export { isOnGuide, snapPlace, type SnapGuide } from './plan/snap';
export { snapToCount } from './plan/snapToCount';
export { soundPlan } from './plan/soundPlan';
export {
  appendStop,
  comesFromBehind,
  dropLastStop,
  moveStop,
  removeStop,
  removeTrack,
  renameThing,
  withTrack,
} from './plan/tracksByHand';

export { editsToStand, groundAsMeasured } from './setting/asMeasured';
export type { CheckMeasure, SetPeg, SetPiece } from './setting/setPiece';
export { asRead, type Measure } from './setting/measure';
export { checkStretches, stretchesOf, type SetStretch } from './setting/stretches';
export { MEASURE_BY, settingSheet, type MeasureBy, type SettingSheet, type SettingWish } from './setting/settingSheet';
export { checkWords, sheetLabels, pegLines, pieceLines, pieceNotes, type SheetLine } from './setting/settingWords';
export { buildChanges, type BuildChange } from './setting/buildChanges';
export { carryPlan, type CarriedLoad, type CarryPlan } from './setting/carryPlan';
export { CARRIED_AT_ONCE, carryRoute } from './setting/carryRoute';
export type { CarryRoute, RouteStop } from './setting/loads';
export { setStages, type SetStage } from './setting/setStages';
export { settingMinutes } from './setting/settingTime';
export { settingWalk } from './setting/settingWalk';
export { changedLegs, saidOf, type LegChange } from './setting/legChanges';
export type { LooseKind } from './setting/loosePieces';
export { placingTolerance, type Tolerance } from './setting/placingTolerance';
export { roundedMeasures } from './setting/roundedMeasures';
export { checkReadsM } from './setting/checkReads';
export { StepCounter, type MotionSample } from './setting/stepCounter';
export { walkedSand, type WalkedLine, type WalkedPiece, type WalkedSand } from './setting/walkedSand';
export { stepRounding, type StepRounding } from './setting/stepRounding';
export { walkedLengthOffM, walkedOffM } from './setting/walkedOff';
export { itemsAsSet, outOfPlace, type AsSet, type GroundTruth, type OutOfPlace } from './setting/itemsAsSet';

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
  RIDER_MARKS,
  standingMarks,
  TAKE_OFFS,
  TRANSITIONS,
  type FenceOutcome,
  type PassMark,
  type PassMarkKind,
  type TappedMark,
} from './record/passMark';
export { RIDE_DIRECTIONS, type RideDirection } from './record/rideDirection';
export { isVoid, lineRidden, passFaults, type PassFault } from './record/passJudged';
export { passEnd, stopsRidden, type PassEnd } from './record/passEnd';
export { askedLayout } from './question/askedLayout';
export { AS_LAID_OUT, HOLE_M, overState, type BuiltState } from './question/builtState';
export { leftOut, madeQuestion, withStop, type MadeStops } from './question/madeQuestion';
export { countsAsked, offeredQuestions, questionToday, type OfferedQuestion } from './question/offeredQuestions';
export { AS_OF_ALL, questionOfPair, type AskedQuestion, type PairAsk } from './question/pairAsk';
export { UNTOLD_QUESTION, type Question, type QuestionWhat, type TrackOrFigures } from './question/question';
export { questionKey, trackKey } from './question/questionKey';
export { labelsAsBuilt } from './question/labelsAsBuilt';
export { questionWords } from './question/questionWords';
export {
  readForPairs,
  outOfReachWords,
  saidOfPair,
  type PairLeg,
  type PairReading,
  type ReadPair,
} from './question/readForPairs';
export { goesBothWays, hasReins, nearestWay, waysToRide, type RideWay } from './question/waysToRide';
export { strideSpread } from './record/strideSpread';
export { layoutAfter } from './lesson/layoutAfter';
export {
  lessonMinutes,
  USUAL_BREAK_MIN,
  WARM_UP,
  warmUpStage,
  type LessonPlan,
  type LessonStage,
} from './lesson/lesson';
export { repeatedFaults, type FaultAnswer, type RepeatedFault } from './lesson/repeatedFault';
export { afterFailure } from './lesson/afterFailure';
export { expectedWork, plannedOf, plannedWork, type PlannedWork } from './work/expectedWork';
export { NO_WORK, passWork, sumWork, workLeft, type Work } from './work/passWork';
export { questionWork, trackWork, type QuestionWork } from './work/questionWork';
export { beforeAfterOf, type BeforeAfter } from './record/beforeAfter';
export { spotsTogether, type SpotsTogether } from './lesson/spotsTogether';
export { STOP_RULES, stopHere, stopRule, USUAL_STAGE_MIN } from './lesson/stopHere';
export { USUAL_RULES, type YardRules } from './lesson/yardRules';
export { stageGate, USUAL_GATE, type GatedQuestion, type GateRule, type StageGate } from './lesson/stageGate';
export {
  dayShare,
  jumps,
  NO_EARLIER_WORK,
  workCounts,
  workOfPasses,
  workWarnings,
  type EarlierWork,
  type WorkCounts,
  type WorkLimits,
} from './work/workCounts';
export { type AskOnTheDay, type LessonRecord, type WalkBreak } from './record/lessonRecord';
export { askedOfAll, type NewlyAsked } from './lesson/askedOtherwise';
export { isAtStage } from './lesson/atStage';
export {
  LESSON_STATES,
  lessonOverAtMs,
  lessonState,
  QUIET_HOURS,
  type LessonState,
  type LessonTimes,
} from './lesson/lessonState';
export {
  breakEvery,
  fitStages,
  lessonLevel,
  type FittedStage,
  type LastTime,
  type LessonRoom,
  type StageToFit,
} from './lesson/fitStages';
export { groupsFor, groupsOf, MOST_IN_GROUP, type PairToGroup } from './lesson/groupsOf';
export { breakTimes, overTheHour, stageTimes, USUAL_LESSON_MIN, type StageTime } from './lesson/lessonClock';
export { nextLesson, type StageGot } from './lesson/nextLesson';
export { askedToShow, type AskedToShow, type ShownLeg } from './lesson/askedToShow';
export { seriesMoved } from './lesson/seriesMoved';
export { pairEnd, type PairEnd } from './lesson/pairEnd';
export { rideTime, stageMinutes, type RideTime } from './lesson/stageMinutes';
export { daysInMonth, monthDays, monthsOn, type MonthWeeks } from './lesson/monthDays';
export { changedAfterwards } from './record/changedAfterwards';
export { marksFit } from './question/marksFit';
export { mergePlans, planDifference, type MergedPlan } from './lesson/mergePlans';
export { writtenDownAtMs } from './lesson/writtenDown';
export { questionsNow } from './lesson/questionsNow';
export { fractionShort, fractionWords, markWords } from './record/markWords';
export { recordedPass, type RecordedPass } from './record/recordedPass';
export { USUAL_MANNER, type StandInManner } from './record/standInMarks';
export { standInRide, USUAL_MISTAKES, type StandInRide } from './record/standInRide';
export { USUAL_NOISE, type TrackPoint } from './record/simulatePass';
export { pairSummary, type PairSummary, type StageSummary, type ToldPass, type ToldStage } from './lesson/pairSummary';

export { riddenGround, type RiddenGround } from './review/ground';
export { grouped, reviewPass, type DayPass, type ReviewPass } from './review/reviewPass';
export { type LearnedStride } from './review/learnStride';
export { offeredStride, strideReviews, type StrideReview } from './review/strideReview';
export {
  keepRiderWork,
  MOST_RIDER_MARKS,
  MOST_RIDER_WORK,
  riderWorkOf,
  withRiderWork,
  type RiderWork,
} from './lesson/riderWork';
export { offeredRiderWork } from './lesson/offeredRiderWork';
export { riderWorkDone, type RiderWorkDone } from './review/riderWork';
export { aboutMinutes, minutesRidden } from './lesson/minutesRidden';
export { riderClaims, riderReview, type RiderMark } from './review/riderReview';
export { gaitClaims } from './review/gaitClaims';
export { gaitReview, type AskedGait, type GaitReview } from './review/gaitReview';
export { headWanted } from './record/headWanted';
export { gaitStretches } from './record/gaitStretches';
export { reinReview, type ReinReview } from './review/reinReview';
export { askedReview, legReviews, type LegReview } from './review/countReview';
export { faultCounts, riddenDays, riddenWeeks, type FaultCount, type RiddenDay } from './review/faultReview';
export { CALENDAR_WEEKS, passCalendar, type CalendarWeek } from './review/passCalendar';
export { passesOfSide, type SideChoice } from './review/sides';
export { compareSides, LEAST_COMPARED, type Comparison } from './review/compareSides';
export { comparedInWords } from './review/comparedInWords';
export { riddenLegs, riddenShown, type RiddenLegCounts, type RiddenShown } from './review/riddenLegs';
export { rideCells, togetherOn, type RideCell } from './review/rideTogether';
export { dayNames, daysOf, type PackedDay } from './review/byDay';
export { packDay, unpackDay } from './review/dayReadings';
export { isShownPlace, sandMap, type SandPlace } from './review/sandMap';
export { spotsOf, visitsOf } from './review/sandVisits';
export { placeClaims } from './review/placeClaims';
export { countsInOrder, countsRidden, layoutReview } from './review/layoutReview';
export { turnClaim, turnReview, type TurnReview } from './review/turnReview';
export { balanceWords, groupReview, type GroupReview } from './review/groupReview';
export { nextSetting, type NextSetting } from './review/nextSetting';
export {
  askedClaims,
  faultClaims,
  qualityClaims,
  reinClaims,
  strideClaims,
  type Claim,
  type ClaimAbout,
  type ClaimWords,
} from './review/claims';
export { wilsonInterval, type Share } from './statistics/proportions';
export { eventAtMs } from './record/eventAtMs';

export { figureParts, partWords, type FigurePartDrawn } from './figures/figureParts';
export { transitionsAsked, transitionsOf, type TransitionAsked } from './figures/transitionsAsked';
export { THUMB_S, tempoOfTaps, tempoWords, type Tempo, type TempoChange } from './record/tempo';
export { transitionWords } from './record/transitionWords';
export { countsThatCanBe, tapsFromFirst, tapStride, type CountsThatCanBe, type TapRun } from './pad/strideTaps';
export { whereToStand } from './pad/whereToStand';
export { padSteps, type PadStep } from './pad/padSteps';
export { faultGround, NO_GROUND, type FaultGround } from './lesson/faultGround';
export { tempoReviews, tempoReviewWords, type TempoReview } from './review/tempoReview';

export { besideEnd } from './items/besideEnd';

export type { Camera, PictureShare } from './view/camera';
export { eyePicture, type Drawn, type EyePicture, type Scene, type SceneWord } from './view/picture';
export { TONES, type Tone } from './view/solid';
export { above, type Spot } from './view/spot';
export {
  EYE_OVER_WITHERS_M,
  EYE_WIDE_RAD,
  nextStop,
  riderCamera,
  USUAL_HEIGHT_M,
  type EyeWish,
  type Look,
  type NextStop,
  type RiddenTrack,
} from './view/riderEye';
export { lookFacts, type LookFacts } from './view/lookFacts';
export { lookWords } from './view/lookWords';
export { sightMarkAt } from './view/sightMark';
export { askedEye, type AskedEye } from './lesson/askedEye';

export { fitLayout, fitSteps, type Fit, type FitStep, type FitWish } from './fit/fitLayout';
export type { FitReading, FitWord, LegFit } from './fit/fitReading';
export { piecesOf, type FitMove, type FitPiece } from './fit/pieces';
export { fittedPlan } from './plan/fittedPlan';
export { isKept, refitLayout, type Refit, type RefitHow, type RefitLeg } from './fit/refitLayout';
export { refittedPlan } from './plan/refittedPlan';
export {
  composeCourses,
  composeSteps,
  type ComposeStep,
  type ComposeWish,
  type Proposal,
} from './compose/composeCourse';
export type { Stroke, StrokeKind } from './compose/courseDraft';
export { composedPlan } from './plan/composedPlan';

export { dayInWords, dayNumber, dayOfNumber, mondayOf, weekdayOf } from './words/calendarDay';
export { REIN_MEASURES, type Goal, type GoalMeasure } from './goals/goal';
export { shelfFacts } from './goals/shelfFacts';
export { goalProgress, type GoalProgress, type GoalRecord, type GoalState } from './goals/goalProgress';
export { TAUGHT } from './suggest/catalogue';
export type { SuggestWish } from './suggest/candidate';
export { FILTERS } from './suggest/filters';
export { LEAST_DAYS, LEAST_PASSES, type PairSeen } from './suggest/pairSeen';
export { ownExercise, purposesOf, questionsOver } from './suggest/ownLayouts';
export { riddenSteps, type RiddenOver } from './suggest/riddenSteps';
export { sideBySide, type AskedStage } from './suggest/sideBySide';
export type { ExerciseFacts, RiddenStep, WorkKind } from './suggest/step';
export type { Suggested, Suggestion } from './suggest/suggestLessons';
export { suggestFrom, type SuggestMaterial, type SuggestedFor } from './suggest/suggestFrom';
export { TERMS, type Term } from './suggest/terms';
export { WEIGHTS, type TermKey } from './suggest/weights';
export {
  overloads,
  seasonWeeks,
  withLessonMoved,
  type Overload,
  type SeasonDay,
  type SeasonEntry,
  type SeasonWeek,
} from './season/season';
export { seriesNow, seriesStages, type SeriesNow } from './season/goalSeries';
export { workKindOf } from './work/workKindOf';
export { holm } from './statistics/holm';
export { asRidden, riddenLately, type RiddenLately } from './review/riddenLately';
export { teachingMoves, type Move, type Moves, type TaughtPair } from './teach/teachingMoves';
export { unevenIn } from './suggest/uneven';
