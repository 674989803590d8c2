const TWO_WEEKS_MS = 14 * 24 * 3600 * 1000;
const FIVE_MINUTES_MS = 5 * 60 * 1000;

/** A device's clock is believed within reason; a clock that is days off is replaced by the server's. */
export function trustedTime(atMs: number, nowMs: number): Date {
  const believable = atMs > nowMs - TWO_WEEKS_MS && atMs < nowMs + FIVE_MINUTES_MS;
  return new Date(believable ? atMs : nowMs);
}
