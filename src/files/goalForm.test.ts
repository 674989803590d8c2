import { dayNumber, type Goal, type GoalMeasure } from '@/core';
import { goalForm } from './goalForm';
import { NO_GOAL, typedGoal } from './goalTyped';
import { goalFromPaper } from './goalPaper';

const kept = { id: 'g', pairId: 'p', sinceDay: '2026-10-01', reachedDay: null };
const goal = (measure: GoalMeasure | null): Goal => ({
  ...{ id: 'g', pairId: 'p', words: 'six in a line of five', purposes: ['adjustability'], measure },
  ...{ byDay: dayNumber('2026-12-24'), sinceDay: dayNumber('2026-10-01'), reachedDay: null },
});

test.each<GoalMeasure | null>([
  null,
  { kind: 'stage', exercise: 'grid', stage: 2 },
  { kind: 'clean', purpose: 'rhythm', share: 0.8 },
  { kind: 'rein', measure: 'asked counts ridden', rein: 'left', gait: 'canter' },
  { kind: 'count', way: 'more', share: 0.7 },
  { kind: 'head', gait: null, share: 0.9 },
])('%j comes back from its form as it went in', measure => {
  const read = goalForm.parse(typedGoal(goal(measure)));
  expect(goalFromPaper(read, kept)).toEqual(goal(measure));
});

const fields = (typed: Partial<typeof NO_GOAL>) => {
  const read = goalForm.safeParse({ ...NO_GOAL, words: 'a goal', ...typed });
  return read.success ? [] : read.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);
};

test('what is wrong is told at its field', () => {
  expect(fields({})).toEqual([]);
  expect(fields({ words: ' ' })).toEqual(['words: Say what the goal is.']);
  expect(fields({ measure: 'stage', exercise: '' })).toEqual(['exercise: The shelf has no such exercise.']);
  expect(fields({ measure: 'count', percent: 40 })).toEqual(['percent: At least half of them.']);
  expect(fields({ measure: 'count', percent: '' })[0]).toMatch(/^percent: /);
  expect(fields({ byDay: '2026-02-31' })).toEqual(['byDay: This is no day of the calendar.']);
  expect(fields({ purposes: ['to win'] })[0]).toMatch(/^purposes: /);
});
