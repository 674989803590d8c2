import { readTaps } from './useKeptTaps';

const GOOD = { pairId: 'p', stageId: 's', questionId: 'q', openId: null, run: { step: 0, tapsMs: [1, 2] } };

test('strides that were being counted are read back', () => {
  expect(readTaps(GOOD)).toEqual(GOOD);
  expect(readTaps({ ...GOOD, openId: 'open' })?.openId).toBe('open');
});

test.each([
  null,
  'pad',
  { ...GOOD, pairId: 4 },
  { ...GOOD, openId: 4 },
  { ...GOOD, run: null },
  { ...GOOD, run: { step: -1, tapsMs: [1] } },
  { ...GOOD, run: { step: 0, tapsMs: [] } },
  { ...GOOD, run: { step: 0, tapsMs: ['x'] } },
])('what is no count is left: %j', left => {
  expect(readTaps(left)).toBeNull();
});
