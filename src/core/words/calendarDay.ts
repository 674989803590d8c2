/**
 * Days as whole numbers, counted from 1 January 1970, for reckoning with them: a day of a record is one of the yard's calendar,
 * whatever the clock said.
 */
const DAYS_TO_1970 = 719468;
const ERA_DAYS = 146097;

/**
 * The number of a day, "2026-05-04".
 * @throws {RangeError} what is no day of a calendar
 */
export function dayNumber(day: string): number {
  const [year, month, of] = day.split('-').map(Number) as [number, number, number];
  if (!/^\d{4}-\d{2}-\d{2}$/.test(day) || month < 1 || month > 12 || of < 1 || of > 31)
    throw new RangeError(`dayNumber(${day})`);
  // The year begins in March, so that the odd day comes last (the proleptic Gregorian rule; from memory).
  const shifted = month <= 2 ? year - 1 : year;
  const era = Math.floor(shifted / 400);
  const ofEra = shifted - era * 400;
  const ofYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + of - 1;
  return era * ERA_DAYS + ofEra * 365 + Math.floor(ofEra / 4) - Math.floor(ofEra / 100) + ofYear - DAYS_TO_1970;
}

/** The day of a number, "2026-05-04". */
export function dayOfNumber(number: number): string {
  if (!Number.isInteger(number)) throw new RangeError(`dayOfNumber(${number})`);
  const days = number + DAYS_TO_1970;
  const era = Math.floor(days / ERA_DAYS);
  const ofEra = days - era * ERA_DAYS;
  const yearOfEra = Math.floor(
    (ofEra - Math.floor(ofEra / 1460) + Math.floor(ofEra / 36524) - Math.floor(ofEra / 146096)) / 365,
  );
  const ofYear = ofEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const shifted = Math.floor((5 * ofYear + 2) / 153);
  const month = shifted < 10 ? shifted + 3 : shifted - 9;
  const year = yearOfEra + era * 400 + (month <= 2 ? 1 : 0);
  const two = (value: number) => String(value).padStart(2, '0');
  return `${year}-${two(month)}-${two(ofYear - Math.floor((153 * shifted + 2) / 5) + 1)}`;
}

const MONTHS = 'January February March April May June July August September October November December'.split(' ');

/** A day as it is said: "4 May". */
export function dayInWords(number: number): string {
  const [, month, of] = dayOfNumber(number).split('-').map(Number) as [number, number, number];
  return `${of} ${MONTHS[month - 1]}`;
}

/** The day of the week, Monday 0. */
export const weekdayOf = (number: number): number => (((number + 3) % 7) + 7) % 7;

/** The Monday of a day's week, both as "2026-05-04". */
export function mondayOf(day: string): string {
  const number = dayNumber(day);
  return dayOfNumber(number - weekdayOf(number));
}
