/** A pass lasts until the next one begins, at most so long: after that one stood, talked, or another pair rode. */
const MOST_PASS_MIN = 5;
/** Common practice, no source: a pass by itself, of which nobody knows how long it took. */
const ONE_PASS_MIN = 1;

const MS_PER_MIN = 60_000;

/**
 * About how many minutes were ridden, by when each pass began: each lasts until the next, and the last as long as the others did on
 * average. A record knows when something was marked, not when a horse stood still.
 * @param beganMs - when each pass began, in any order; of one pair at one stage
 */
export function minutesRidden(beganMs: readonly number[]): number {
  if (beganMs.length === 0) return 0;
  const inOrder = [...beganMs].sort((a, b) => a - b);
  const lasted = inOrder.slice(1).map((ms, index) => Math.min(MOST_PASS_MIN, (ms - inOrder[index]!) / MS_PER_MIN));
  const known = lasted.reduce((sum, minutes) => sum + minutes, 0);
  return known + (lasted.length === 0 ? ONE_PASS_MIN : known / lasted.length);
}

/** "about 8 min". */
export const aboutMinutes = (minutes: number): string => `about ${Math.max(1, Math.round(minutes))}\u00a0min`;
