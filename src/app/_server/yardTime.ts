import { remembered } from '@/data/remembered';
import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';

dayjs.extend(utc);
dayjs.extend(timezone);

const QUARTER_MS = 15 * 60 * 1000;
const MINUTE_MS = 60 * 1000;

const MOST_KEPT = 20_000;

/** What a clock is ahead of UTC by, from quarter to quarter of an hour: none changes within one, and to ask for a zone is slow. */
const ahead = remembered<number>(MOST_KEPT);

function aheadMin(atMs: number, timeZone: string): number {
  const key = `${timeZone} ${Math.floor(atMs / QUARTER_MS)}`;
  const known = ahead.recall(key);
  if (known !== undefined) return known;
  const read = dayjs(atMs).tz(timeZone).utcOffset();
  ahead.hold(key, read);
  return read;
}

/** An instant as the yard's clock shows it: times are UTC in the database, the yard has a time zone. `format`: without the zone. */
export function yardTime(atMs: number, timeZone: string, format: string): string {
  return dayjs.utc(atMs + aheadMin(atMs, timeZone) * MINUTE_MS).format(format);
}

/** The days of a yard's clock, as the record is looked at by them. */
export function yardClock(timeZone: string) {
  return { timeZone, dayOf: (atMs: number) => yardTime(atMs, timeZone, 'YYYY-MM-DD') };
}

/** The year that the yard's calendar shows now. */
export function yardYear(timeZone: string): number {
  return Number(yardTime(Date.now(), timeZone, 'YYYY'));
}

const instants = remembered<number | null>(MOST_KEPT);

/** The instant of a day and time on the yard's clock, "2026-05-04T17:30"; null where it is none. */
export function instantOf(local: string, timeZone: string): number | null {
  const key = `${timeZone} ${local}`;
  const known = instants.recall(key);
  if (known !== undefined) return known;
  const at = dayjs.tz(local, timeZone);
  const instant = at.isValid() ? at.valueOf() : null;
  instants.hold(key, instant);
  return instant;
}

const LOCAL = 'YYYY-MM-DDTHH:mm';

/** The same time of day so many days later, whatever the clocks do in between. */
export function daysLater(atMs: number, days: number, timeZone: string): number {
  const local = dayjs
    .utc(yardTime(atMs, timeZone, LOCAL))
    .add(days, 'day')
    .format(LOCAL);
  return instantOf(local, timeZone) ?? atMs;
}

/** The first instant of each of the last days, today last, and the end of today, by the yard's clock. */
export function lastDays(atMs: number, days: number, timeZone: string): number[] {
  const todayMs = instantOf(`${yardTime(atMs, timeZone, 'YYYY-MM-DD')}T00:00`, timeZone) ?? atMs;
  return Array.from({ length: days + 1 }, (_, index) => daysLater(todayMs, index - days + 1, timeZone));
}

/** Jumping days are counted over a week. */
const WEEK_DAYS = 7;

/** The days that a horse's work is looked at over: the week that ends with a day. */
export function weekOf(atMs: number, timeZone: string): number[] {
  return lastDays(atMs, WEEK_DAYS, timeZone);
}
