const WEEK = 7;

/**
 * The weeks of a month from Monday, each with all of its days, "2026-11-30": those at its ends are of the months beside it.
 * @param month - "2026-12"
 * @param before - so many weeks that lie before it are shown too: in the first days of a month one looks for what was last week
 * @throws {RangeError} a month that is none
 */
export function monthWeeks(month: string, before = 0): string[][] {
  const [year, of] = parts(month);
  const leading = weekdayOfFirst(year, of);
  const weeks = before + Math.ceil((leading + daysInMonth(year, of)) / WEEK);
  return Array.from({ length: weeks }, (_, week) =>
    Array.from({ length: WEEK }, (__, weekday) => dayOf(month, (week - before) * WEEK + weekday - leading + 1)),
  );
}

/** The day so many days into a month, from 1; below and beyond it lie the months beside it. */
function dayOf(month: string, day: number): string {
  if (day < 1) {
    const last = monthsOn(month, -1);
    return dayOf(last, day + daysInMonth(...parts(last)));
  }
  const days = daysInMonth(...parts(month));
  return day > days ? dayOf(monthsOn(month, 1), day - days) : `${month}-${String(day).padStart(2, '0')}`;
}

function parts(month: string): [year: number, of: number] {
  const [, year, of] = /^(\d{4})-(0[1-9]|1[0-2])$/.exec(month) ?? [];
  if (year === undefined || of === undefined) throw new RangeError(`“${month}” is no month.`);
  return [Number(year), Number(of)];
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
