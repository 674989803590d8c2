const TWO_WEEKS_MS = 14 * 24 * 3600 * 1000;
const FIVE_MINUTES_MS = 5 * 60 * 1000;
const TWO_MINUTES_MS = 2 * 60 * 1000;

/** A device's clock is believed within reason; a clock that is days off is replaced by the server's. */
export function trustedTime(atMs: number, nowMs: number): Date {
  const believable = atMs > nowMs - TWO_WEEKS_MS && atMs < nowMs + FIVE_MINUTES_MS;
  return new Date(believable ? atMs : nowMs);
}

/**
 * How far a device's clock is ahead (behind: less than 0), milliseconds, by what it showed when it sent something. What a slow
 * line makes of it is none of the clock's.
 */
export function clockOff(sentAtMs: number | undefined, nowMs: number): number {
  const offMs = sentAtMs === undefined ? 0 : sentAtMs - nowMs;
  return Math.abs(offMs) > TWO_MINUTES_MS ? offMs : 0;
}
