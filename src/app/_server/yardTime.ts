import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';

dayjs.extend(utc);
dayjs.extend(timezone);

/** An instant as the yard's clock shows it: times are UTC in the database, the yard has a time zone. */
export function yardTime(atMs: number, timeZone: string, format: string): string {
  return dayjs(atMs).tz(timeZone).format(format);
}

/** The year that the yard's calendar shows now. */
export function yardYear(timeZone: string): number {
  return dayjs().tz(timeZone).year();
}
