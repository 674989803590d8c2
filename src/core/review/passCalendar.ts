import { dayNumber, dayOfNumber, mondayOf } from '../words/calendarDay';
import type { RiddenDay } from './faultReview';

type CalendarDay = Pick<RiddenDay, 'day' | 'passes' | 'clean'>;
/** A week from its Monday: what was ridden on each of its days; null where nothing was. */
export type CalendarWeek = { monday: string; days: (CalendarDay | null)[] };

/** So many weeks are seen at once: half a year. */
export const CALENDAR_WEEKS = 26;

/**
 * Days of riding by weeks, in sheets of half a year, the latest first; a sheet ends with the week of its last day of riding,
 * and one in which nothing was ridden is left out.
 * @param days - each day once, in any order
 */
export function passCalendar(days: readonly CalendarDay[]): CalendarWeek[][] {
  const byWeek = new Map<number, CalendarWeek>();
  for (const one of days.filter(({ passes }) => passes > 0)) {
    const number = dayNumber(one.day);
    const monday = dayNumber(mondayOf(one.day));
    const week = byWeek.get(monday) ?? { monday: dayOfNumber(monday), days: Array<null>(7).fill(null) };
    week.days[number - monday] = one;
    byWeek.set(monday, week);
  }
  const sheets: CalendarWeek[][] = [];
  let left = [...byWeek.keys()].sort((a, b) => b - a);
  while (left.length > 0) {
    const last = left[0]!;
    const first = last - 7 * (CALENDAR_WEEKS - 1);
    sheets.push(
      Array.from({ length: CALENDAR_WEEKS }, (_, index) => {
        const monday = first + 7 * index;
        return byWeek.get(monday) ?? { monday: dayOfNumber(monday), days: Array<null>(7).fill(null) };
      }),
    );
    left = left.filter(monday => monday < first);
  }
  return sheets;
}
