import type { DayPass } from './reviewPass';
import { learnStride } from './learnStride';
import { passMaker, testLeg } from './testPasses';
import { strideReviews } from './strideReview';

const AROUND_M = 3.6;
const GROUND_M = 18.1;
const thought = (entry: string) => (entry === 'course-canter' ? AROUND_M : null);

/** So many passes of the line on each of so many days, all with the same count. */
function season(days: number, passesADay: number, count: number): DayPass[] {
  const pass = passMaker();
  return Array.from({ length: days * passesADay }, (_, at) =>
    pass(
      { day: `2026-05-${String(4 + (at % days)).padStart(2, '0')}`, groundM: GROUND_M },
      { kind: 'strides', place: 1, count },
    ),
  );
}
const counted = (count: number) => ({ groundM: GROUND_M, count, rule: testLeg(GROUND_M).rule });

test.each([
  [4, 3],
  [3, 4],
  [6, 2],
])(
  'the same counts of %s days, %s a day, weigh as all of them together, and the days as so many',
  (days, passesADay) => {
    const [review] = strideReviews(season(days, passesADay, 4), thought as never);
    const together = learnStride([{ counts: [counted(4)], times: days * passesADay }], AROUND_M, days);
    expect(review!.learned).toEqual(together);
    expect(review).toMatchObject({ entry: 'course-canter', from: 'counts', byRein: { left: together } });
    expect(review!.byRein.right).toBeUndefined();
  },
);

test('counts that differ are weighed each as often as it was', () => {
  const passes = [...season(4, 3, 4), ...season(4, 1, 5)];
  const [review] = strideReviews(passes, thought as never);
  const together = learnStride(
    [
      { counts: [counted(4)], times: 12 },
      { counts: [counted(5)], times: 4 },
    ],
    AROUND_M,
    4,
  )!;
  expect(review!.learned.strideM).toBeCloseTo(together.strideM, 9);
  expect(review!.learned.lowM).toBeCloseTo(together.lowM, 9);
});

test('of a stride that nobody has a thought of there is no review', () => {
  expect(strideReviews(season(4, 3, 4), () => null)).toEqual([]);
});
