const SHAKE_MS = 14;

/** Answers a tap with a small shake, where the device can. */
export function shake(): void {
  if (typeof navigator !== 'undefined' && 'vibrate' in navigator) navigator.vibrate(SHAKE_MS);
}
