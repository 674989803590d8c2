/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { riddenGround } from './ground';
export { grouped, reviewPass, type DayPass, type ReviewPass } from './reviewPass';
export type { LearnedStride } from './learnStride';
export { offeredStride, strideReviews, type StrideReview } from './strideReview';
export { riderWorkDone } from './riderWork';
export { riderClaims, riderReview, type RiderMark } from './riderReview';
export { gaitClaims } from './gaitClaims';
export { gaitReview, type AskedGait } from './gaitReview';
export { reinReview, type ReinReview } from './reinReview';
export { askedReview, legReviews, type LegReview } from './countReview';
export { faultCounts, riddenDays, riddenWeeks, type FaultCount } from './faultReview';
export { CALENDAR_WEEKS, passCalendar, type CalendarWeek } from './passCalendar';
export { passesOfSide, type SideChoice } from './sides';
export { compareSides, LEAST_COMPARED, type Comparison } from './compareSides';
export { comparedInWords } from './comparedInWords';
export { riddenLegs, riddenShown, type RiddenLegCounts, type RiddenShown } from './riddenLegs';
export { rideCells, togetherOn, type RideCell } from './rideTogether';
export { dayNames, daysOf, type PackedDay } from './byDay';
export { packDay, unpackDay } from './dayReadings';
export { isShownPlace, sandMap, type SandPlace } from './sandMap';
export { spotsOf, visitsOf } from './sandVisits';
export { placeClaims } from './placeClaims';
export { countsInOrder, countsRidden, layoutReview } from './layoutReview';
export { turnClaim, turnReview } from './turnReview';
export { balanceWords, groupReview, type GroupReview } from './groupReview';
export { nextSetting, type NextSetting } from './nextSetting';
export {
  askedClaims,
  faultClaims,
  qualityClaims,
  reinClaims,
  strideClaims,
  type Claim,
  type ClaimAbout,
  type ClaimWords,
} from './claims';
export { tempoReviews, tempoReviewWords, type TempoReview } from './tempoReview';
export { asRidden, riddenLately, type RiddenLately } from './riddenLately';
