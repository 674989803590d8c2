/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export { GAIT_WORDS, sayGaits, type GaitWords } from './gaitWords';
export { howMany } from './howMany';
export { hasWords, plainWords } from './plainWords';
export { dayInWords, dayNumber, dayOfNumber, mondayOf, weekdayOf } from './calendarDay';
