const TWO_WEEKS_MS = 14 * 24 * 3600 * 1000;
const FIVE_MINUTES_MS = 5 * 60 * 1000;
const TWO_MINUTES_MS = 2 * 60 * 1000;

/** A device's clock is believed two weeks back and not quite five minutes ahead; beyond that the server's takes its place. */
export function trustedTime(atMs: number, nowMs: number): Date {
  return new Date(isBelievable(atMs, nowMs) ? atMs : nowMs);
}

const isBelievable = (atMs: number, nowMs: number): boolean =>
  atMs > nowMs - TWO_WEEKS_MS && atMs < latestBelievable(nowMs).getTime();

/** What lies behind this is from a clock that was ahead. */
export const latestBelievable = (nowMs: number): Date => new Date(nowMs + FIVE_MINUTES_MS);

/**
 * The times of what one device sends together, in its order: what its clock was off when it sent is taken out, and where that is not to
 * be believed they are as far apart as they were said, up to now. So nothing that was said after something else is kept as said at once.
 * @param saidMs - all that the device says in this batch
 * @param sentAtMs - what the device's clock showed when it sent
 */
export function trustedTimes(nowMs: number, saidMs: readonly number[], sentAtMs?: number): (deviceMs: number) => Date {
  const offMs = clockOff(sentAtMs, nowMs);
  const wrong = saidMs.map(ms => ms - offMs).filter(ms => !isBelievable(ms, nowMs));
  const latestWrongMs = wrong.reduce((latest, ms) => Math.max(latest, ms), -Infinity);
  return deviceMs => {
    const atMs = deviceMs - offMs;
    if (isBelievable(atMs, nowMs)) return new Date(atMs);
    return trustedTime(Math.round(nowMs - (latestWrongMs - atMs)), nowMs);
  };
}

/**
 * How far a device's clock is ahead (behind: less than 0), milliseconds, by what it showed when it sent something. What a slow
 * line makes of it is none of the clock's.
 */
export function clockOff(sentAtMs: number | undefined, nowMs: number): number {
  const offMs = sentAtMs === undefined ? 0 : sentAtMs - nowMs;
  return Math.abs(offMs) > TWO_MINUTES_MS ? offMs : 0;
}
