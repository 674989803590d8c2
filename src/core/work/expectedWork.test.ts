import { expectedWork } from './expectedWork';
import { NO_EARLIER_WORK, workWarnings, type PassWork } from './workCounts';

const work = (changes: Partial<PassWork>): PassWork => ({
  ...{ lowEfforts: 0, highEfforts: 0, raised: false, smallCircleMin: { left: 0, right: 0 }, stops: [] },
  ...changes,
});

test('every stage as often as planned on each rein, with what is done elsewhere that day', () => {
  const stages = [
    { stage: { eachRein: 3 }, work: work({ raised: true }) },
    { stage: { eachRein: 5 }, work: work({ lowEfforts: 4, smallCircleMin: { left: 0.2, right: 0 } }) },
    { stage: { eachRein: 0 }, work: work({ highEfforts: 9 }) },
    { stage: { eachRein: 2 }, work: null },
  ];
  const alone = expectedWork(stages);
  expect(alone).toMatchObject({ lowEfforts: 40, highEfforts: 0, raisedPasses: 6, jumpingDays: 1 });
  expect(alone.smallCircleMin).toEqual({ left: 1, right: 1 });
  expect(workWarnings(alone, Infinity)).toEqual([]);
  const after = expectedWork(stages, { ...NO_EARLIER_WORK, lowEfforts: 25, otherJumpingDays: 2 });
  expect(workWarnings(after, Infinity)).toHaveLength(2);
  expect(NO_EARLIER_WORK.smallCircleMin).toEqual({ left: 0, right: 0 });
});

test('a lesson on the flat is no jumping day', () =>
  expect(expectedWork([{ stage: { eachRein: 4 }, work: work({}) }]).jumpingDays).toBe(0));
