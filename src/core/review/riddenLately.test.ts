import { testHorse } from '../layout/testLayout';
import { asRidden, riddenLately } from './riddenLately';
import type { StrideReview } from './strideReview';

const learned = { strideM: 3.5, lowM: 3.4, highM: 3.6, legs: 8, days: 3 };
const review: StrideReview = {
  ...{ entry: 'course-canter', learned, byMonth: [], drift: null, byRein: {}, from: 'counts' },
};

test('a stride is told from eight legs on three days on', () => {
  expect(riddenLately(review)).toEqual({ entry: 'course-canter', strideM: 3.5, lowM: 3.4, highM: 3.6, days: 3 });
  expect(riddenLately({ ...review, learned: { ...learned, legs: 7 } })).toBeNull();
  expect(riddenLately({ ...review, learned: { ...learned, days: 2 } })).toBeNull();
});

test('where it has changed over the season it is the latest month', () => {
  const latest = { ...learned, strideM: 3.6, lowM: 3.5, highM: 3.7 };
  const drift = { change: 0.1, low: 0.05, high: 0.15, p: 0.001, points: 4 };
  const months = [{ month: '2026-11', atMs: 0, learned: latest }];
  expect(riddenLately({ ...review, byMonth: months, drift } as StrideReview)).toMatchObject({ strideM: 3.6 });
});

test('short and long go with the normal stride; what was not ridden stays', () => {
  const horse = {
    ...testHorse('Wren', 4),
    strides: { ...testHorse('Wren', 4).strides, trot: { shortM: 2, normalM: 2.5, longM: 3 } },
  };
  const ridden = asRidden(horse, [{ entry: 'course-canter', strideM: 3.6, lowM: 3.5, highM: 3.7, days: 9 }]);
  const { shortM, normalM, longM } = ridden.strides['course-canter']!;
  expect([shortM, normalM, longM].map(m => Math.round(m * 1000) / 1000)).toEqual([3.06, 3.6, 4.032]);
  expect(ridden.strides.trot).toEqual(horse.strides.trot);
});
