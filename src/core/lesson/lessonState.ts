/** A lesson is planned, then runs, then is ended; whatever it is, it can be archived. */
export const LESSON_STATES = ['planned', 'running', 'ended', 'archived'] as const;
export type LessonState = (typeof LESSON_STATES)[number];

export type LessonTimes = {
  startsAtMs: number;
  /** Of all its stages together. */
  plannedMin: number;
  archived: boolean;
  /** When its cautions were read, and with it the lesson begun. */
  acknowledgedAtMs: number | null;
  endedAtMs: number | null;
  /** When it was opened again last. */
  reopenedAtMs: number | null;
  /** When the last of its passes was ridden; null where none was. */
  lastRiddenAtMs: number | null;
};

/** A lesson that nobody ended is over after so many quiet hours (practice). */
export const QUIET_HOURS = 3;
const QUIET_MS = QUIET_HOURS * 3600 * 1000;

/** In which state a lesson is at an instant. */
export function lessonState(times: LessonTimes, nowMs: number): LessonState {
  if (times.archived) return 'archived';
  if (times.endedAtMs !== null) return 'ended';
  if (!isBegun(times)) return 'planned';
  return nowMs > quietSince(times) + QUIET_MS ? 'ended' : 'running';
}

/**
 * When an ended lesson was over: when somebody ended it, else when the last pass was ridden; null where it is not over, or
 * nothing is known of it.
 */
export function lessonOverAtMs(times: LessonTimes, nowMs: number): number | null {
  if (times.endedAtMs !== null) return times.endedAtMs;
  if (!isBegun(times) || nowMs <= quietSince(times) + QUIET_MS) return null;
  return times.lastRiddenAtMs ?? times.reopenedAtMs ?? times.acknowledgedAtMs;
}

function isBegun({ acknowledgedAtMs, reopenedAtMs, lastRiddenAtMs }: LessonTimes): boolean {
  return acknowledgedAtMs !== null || reopenedAtMs !== null || lastRiddenAtMs !== null;
}

/** The last time that anything of a lesson was heard or was to be. A lesson that was begun on another day is over with it. */
function quietSince({ startsAtMs, plannedMin, acknowledgedAtMs, reopenedAtMs, lastRiddenAtMs }: LessonTimes): number {
  const plannedEndMs = startsAtMs + plannedMin * 60_000;
  const heard = [acknowledgedAtMs, reopenedAtMs, lastRiddenAtMs].flatMap(ms => ms ?? []);
  // A lesson that was begun early runs to its planned end; one that lies a day or more ahead does not.
  const begunMs = acknowledgedAtMs ?? lastRiddenAtMs ?? startsAtMs;
  const planned = plannedEndMs - begunMs < 12 * 3600 * 1000 ? [plannedEndMs] : [];
  return Math.max(...heard, ...planned);
}
