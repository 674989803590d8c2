import { dayInZone } from '@/components/inZone';

/** So long before or after its time a lesson is ridden, even past midnight; on another day that is asked first (practice). */
const ABOUT_MS = 6 * 3600 * 1000;

/** Whether it is the day of a lesson by the yard's clock, or about its time. */
export function isItsDay(startsAtMs: number, nowMs: number, timeZone: string): boolean {
  return dayInZone(startsAtMs, timeZone) === dayInZone(nowMs, timeZone) || Math.abs(nowMs - startsAtMs) < ABOUT_MS;
}
