import type { PassMark } from '../record/passMark';
import type { ReviewPass } from './reviewPass';
import { temposOf, tempoReviews, tempoReviewWords } from './tempoReview';

const taps = (strides: number, eachMs: (i: number) => number) => {
  let at = 0;
  return Array.from({ length: strides }, (_, i) => (i === 0 ? 0 : (at += eachMs(i))));
};
let count = 0;
const pass = (tapsMs: number[] | null, more: Partial<ReviewPass> = {}): ReviewPass =>
  ({
    ...{ id: `p${(count += 1)}`, layoutVersionId: 'v', key: 'q', day: '2026-05-04', riddenAtMs: count, isVoid: false },
    ...{ questionWords: 'line', ground: { legs: [{ from: 'fence 1', to: 'fence 2' }] } },
    marks: [{ id: 'm', kind: 'strides', place: 1, count: 12, ...(tapsMs && { tapsMs }) } as PassMark],
    ...more,
  }) as unknown as ReviewPass;

const EVEN = taps(12, () => 600);
const QUICKER = taps(12, i => 600 - i * 15);

test('legs are told by the strides that were tapped; typed counts have no tempo', () => {
  const [leg, ...others] = tempoReviews([pass(EVEN), pass(null), pass(QUICKER)]);
  expect(others).toEqual([]);
  expect(leg).toMatchObject({ from: 'fence 1', to: 'fence 2', quickened: 1, slowed: 0 });
  expect(leg!.seen).toHaveLength(2);
  expect(tempoReviewWords(leg!)).toMatch(/^1\.8 strides a second over 2 counts; quickened in 1$/);
});

test('passes that do not count have none, and different questions are told apart', () => {
  expect(tempoReviews([pass(EVEN, { isVoid: true })])).toEqual([]);
  const two = tempoReviews([pass(EVEN), pass(EVEN, { key: 'other' }), pass(EVEN)]);
  expect(two.map(({ seen }) => seen.length)).toEqual([2, 1]);
  expect(tempoReviewWords(two[1]!)).toBe('1.7 strides a second over 1 count; no change that can be told');
});

test('of a day: the pass and the leg each tempo was tapped in, of passes that count and legs that are there', () => {
  const slower = taps(12, i => 500 + i * 15);
  const day = temposOf([
    pass(null),
    pass(EVEN),
    pass(QUICKER, { isVoid: true }),
    pass(slower, { marks: [{ id: 'h', kind: 'hit', place: 1 } as PassMark] }),
    pass(slower),
    pass(EVEN, { ground: { legs: [] } } as never),
  ]);
  expect(day.map(({ index, place, tempo }) => [index, place, tempo.change])).toEqual([
    [1, 1, 'even'],
    [4, 1, 'slowed'],
  ]);
});
