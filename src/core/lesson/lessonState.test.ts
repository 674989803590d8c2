import { lessonOverAtMs, lessonState, QUIET_HOURS, type LessonTimes } from './lessonState';

const HOUR_MS = 3600 * 1000;
const START_MS = 100 * HOUR_MS;
const times = (changes: Partial<LessonTimes> = {}): LessonTimes => ({
  ...{ startsAtMs: START_MS, plannedMin: 60, archived: false },
  ...{ acknowledgedAtMs: null, endedAtMs: null, reopenedAtMs: null, lastRiddenAtMs: null },
  ...changes,
});

test.each([
  ['planned before its day', times(), START_MS - 48 * HOUR_MS, 'planned'],
  ['planned, and its day is over', times(), START_MS + 48 * HOUR_MS, 'planned'],
  ['begun', times({ acknowledgedAtMs: START_MS }), START_MS + HOUR_MS, 'running'],
  ['begun before its time', times({ acknowledgedAtMs: START_MS - HOUR_MS }), START_MS, 'running'],
  ['ended', times({ acknowledgedAtMs: START_MS, endedAtMs: START_MS + HOUR_MS }), START_MS + HOUR_MS, 'ended'],
  ['never ended, a day later', times({ acknowledgedAtMs: START_MS }), START_MS + 24 * HOUR_MS, 'ended'],
  [
    'running long, and ridden just now',
    times({ acknowledgedAtMs: START_MS, lastRiddenAtMs: START_MS + 5 * HOUR_MS }),
    START_MS + 6 * HOUR_MS,
    'running',
  ],
  ['written down afterwards', times({ lastRiddenAtMs: START_MS + HOUR_MS }), START_MS + 72 * HOUR_MS, 'ended'],
  [
    'opened again',
    times({ acknowledgedAtMs: START_MS, reopenedAtMs: START_MS + 5 * HOUR_MS, lastRiddenAtMs: START_MS }),
    START_MS + 6 * HOUR_MS,
    'running',
  ],
  ['archived, whatever it was', times({ archived: true, acknowledgedAtMs: START_MS }), START_MS, 'archived'],
] as const)('%s', (_, own, nowMs, state) => expect(lessonState(own, nowMs)).toBe(state));

test('a lesson that was begun a week before its day is over with the day on which it was begun', () => {
  const early = times({ acknowledgedAtMs: START_MS - 7 * 24 * HOUR_MS });
  expect(lessonState(early, START_MS - 6 * 24 * HOUR_MS)).toBe('ended');
});

test('a lesson that nobody ended was over with its last pass, once it has been quiet', () => {
  const own = times({ acknowledgedAtMs: START_MS, lastRiddenAtMs: START_MS + 2 * HOUR_MS });
  expect(lessonOverAtMs(own, START_MS + (2 + QUIET_HOURS) * HOUR_MS)).toBeNull();
  expect(lessonOverAtMs(own, START_MS + (2 + QUIET_HOURS) * HOUR_MS + 1)).toBe(START_MS + 2 * HOUR_MS);
  expect(lessonOverAtMs({ ...own, endedAtMs: START_MS + 1 }, START_MS + 2)).toBe(START_MS + 1);
  expect(lessonOverAtMs(times(), START_MS + 1000 * HOUR_MS)).toBeNull();
});
