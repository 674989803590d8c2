/** A month of a calendar, week by week from Monday; null before its first and behind its last day. */
export type MonthWeeks = (number | null)[][];

const WEEK = 7;

/**
 * The days of a month in weeks.
 * @param year - as the calendar counts it
 * @param month - 1 to 12
 * @throws {RangeError} a month that is none
 */
export function monthDays(year: number, month: number): MonthWeeks {
  if (!(Number.isInteger(year) && Number.isInteger(month) && month >= 1 && month <= 12))
    throw new RangeError(`monthDays(${year}, ${month})`);
  const days = daysInMonth(year, month);
  const before = weekdayOfFirst(year, month);
  const weeks = Math.ceil((before + days) / WEEK);
  return Array.from({ length: weeks }, (_, week) =>
    Array.from({ length: WEEK }, (__, weekday) => {
      const day = week * WEEK + weekday - before + 1;
      return day >= 1 && day <= days ? day : null;
    }),
  );
}

/** How many days a month has; `month` from 1 to 12. */
export function daysInMonth(year: number, month: number): number {
  return month === 2 && isLeapYear(year) ? 29 : DAYS[month - 1]!;
}

const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

const isLeapYear = (year: number) => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;

/** On which day of the week a month begins, Monday 0 (the Gregorian rule, Zeller 1882; from memory). */
function weekdayOfFirst(year: number, month: number): number {
  const shifted = month < 3 ? month + 12 : month;
  const counted = month < 3 ? year - 1 : year;
  const [century, inCentury] = [Math.floor(counted / 100), counted % 100];
  // Zeller counts from Saturday.
  const fromSaturday =
    1 +
    Math.floor((13 * (shifted + 1)) / 5) +
    inCentury +
    Math.floor(inCentury / 4) +
    Math.floor(century / 4) +
    5 * century;
  return (fromSaturday + 5) % WEEK;
}

/** The month so many months on: "2026-11" and 2 is "2027-01". */
export function monthsOn(month: string, by: number): string {
  const [year, of] = month.split('-').map(Number) as [number, number];
  const at = year * 12 + of - 1 + by;
  return `${Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, '0')}`;
}
