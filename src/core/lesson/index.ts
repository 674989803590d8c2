/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { layoutAfter } from './layoutAfter';
export { lessonMinutes, USUAL_BREAK_MIN, WARM_UP, warmUpStage, type LessonPlan, type LessonStage } from './lesson';
export { repeatedFaults, type FaultAnswer } from './repeatedFault';
export { afterFailure } from './afterFailure';
export { spotsTogether, type SpotsTogether } from './spotsTogether';
export { STOP_RULES, stopHere, stopRule, USUAL_STAGE_MIN } from './stopHere';
export { USUAL_RULES, type YardRules } from './yardRules';
export { stageGate, USUAL_GATE, type GatedQuestion, type GateRule, type StageGate } from './stageGate';
export { askedOfAll, type NewlyAsked } from './askedOtherwise';
export { isAtStage } from './atStage';
export { lessonOverAtMs, lessonState, QUIET_HOURS, type LessonState, type LessonTimes } from './lessonState';
export { breakEvery, fitStages, type FittedStage, type LastTime, type StageToFit } from './fitStages';
export { groupsFor, groupsOf, MOST_IN_GROUP, type PairToGroup } from './groupsOf';
export { breakTimes, overTheHour, stageTimes, USUAL_LESSON_MIN } from './lessonClock';
export { nextLesson, type StageGot } from './nextLesson';
export { askedToShow, type AskedToShow } from './askedToShow';
export { seriesMoved } from './seriesMoved';
export { pairEnd, type PairEnd } from './pairEnd';
export { rideTime, stageMinutes } from './stageMinutes';
export { daysInMonth, monthsOn, monthWeeks } from './monthDays';
export { mergePlans, planDifference } from './mergePlans';
export { writtenDownAtMs } from './writtenDown';
export { questionsNow } from './questionsNow';
export type { StageSummary, ToldPass, ToldStage } from './pairSummary';
export {
  keepRiderWork,
  MOST_RIDER_MARKS,
  MOST_RIDER_WORK,
  riderWorkOf,
  withRiderWork,
  type RiderWork,
} from './riderWork';
export { offeredRiderWork } from './offeredRiderWork';
export { aboutMinutes, minutesRidden } from './minutesRidden';
export { faultGround } from './faultGround';
export { askedEye } from './askedEye';
