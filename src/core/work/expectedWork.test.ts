import { expectedWork, plannedWork } from './expectedWork';
import type { QuestionWork } from './questionWork';
import { NO_EARLIER_WORK, workWarnings } from './workCounts';

const work = (changes: Partial<QuestionWork>): QuestionWork => ({
  ...{ stops: [], legCircles: [], figureCircles: { left: 0, right: 0 } },
  ...changes,
});
const LOW = 'low effort' as const;

test('every question as often as planned on each rein, with what is done elsewhere that day', () => {
  const questions = [
    { work: work({ stops: ['raised'] }), hasReins: true, times: 3 },
    {
      ...{ work: work({ stops: [LOW, LOW, LOW, LOW], legCircles: [{ left: 0.2, right: 0 }, ...noneOn(2)] }) },
      ...{ hasReins: true, times: 5 },
    },
    { work: work({ stops: ['high effort'] }), hasReins: true, times: 0 },
  ];
  const alone = expectedWork([plannedWork(questions)]);
  expect(alone).toMatchObject({ lowEfforts: 40, highEfforts: 0, raisedPasses: 6, jumpingDays: 1 });
  // On the other rein a small circle of the left one is one of the right.
  expect(alone.smallCircleMin.left).toBeCloseTo(1, 9);
  expect(alone.smallCircleMin.right).toBeCloseTo(1, 9);
  expect(workWarnings(alone, Infinity)).toEqual([]);
  const after = expectedWork([plannedWork(questions)], { ...NO_EARLIER_WORK, lowEfforts: 25, otherJumpingDays: 2 });
  expect(workWarnings(after, Infinity)).toHaveLength(2);
  expect(NO_EARLIER_WORK.smallCircleMin).toEqual({ left: 0, right: 0 });
});

test('a course that changes the rein is ridden so often in all', () => {
  const course = { work: work({ stops: Array.from({ length: 6 }, () => LOW) }), hasReins: false, times: 4 };
  expect(plannedWork([course])).toMatchObject({ lowEfforts: 24, smallCircleMin: { left: 0, right: 0 } });
});

test('a horse with three riders in a lesson does the work of all three', () => {
  const line = plannedWork([{ work: work({ stops: [LOW, LOW] }), hasReins: true, times: 6 }]);
  const counts = expectedWork([line, line, line]);
  expect(counts.lowEfforts).toBe(72);
  expect(workWarnings(counts, Infinity)).toHaveLength(1);
});

test('a lesson on the flat is no jumping day', () =>
  expect(expectedWork([plannedWork([{ work: work({}), hasReins: true, times: 4 }])]).jumpingDays).toBe(0));

function noneOn(legs: number) {
  return Array.from({ length: legs }, () => ({ left: 0, right: 0 }));
}
