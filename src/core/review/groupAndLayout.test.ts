import { balanceWords, groupReview } from './groupReview';
import { layoutReview } from './layoutReview';
import { nextSetting } from './nextSetting';
import { placeClaims } from './placeClaims';
import { passMaker, testLeg } from './testPasses';
import type { TappedMark } from '../record/passMark';
import type { Rein } from '../track/rein';

const make = passMaker();
const pass = (pairId: string, version: string, day: string, rein: Rein, ...marks: TappedMark[]) =>
  make({ pairId, version, day, rein, groundM: version === 'a' ? 18.1 : 18.3 }, ...marks);
const DOWN: TappedMark = { kind: 'fence', place: 2, outcome: 'down' };
const strides = (count: number): TappedMark => ({ kind: 'strides', place: 1, count });

test('pair by pair, setting by setting, and the first day against the last', () => {
  const { settings, beforeAfter } = layoutReview([
    pass('quill', 'a', '2026-05-01', 'left', strides(4), DOWN),
    pass('quill', 'a', '2026-05-01', 'right', strides(4), { kind: 'quality', value: 2 }),
    pass('barley', 'a', '2026-05-01', 'left', strides(5)),
    pass('quill', 'b', '2026-06-01', 'left', strides(5), { kind: 'quality', value: 4 }),
    pass('quill', 'b', '2026-06-01', 'left', { kind: 'void' }),
  ]);
  expect(settings).toMatchObject([
    { pairId: 'quill', layoutVersionId: 'a', clean: { of: 2, hits: 1 }, counts: [4], groundsM: [18.1], quality: 2 },
    { pairId: 'barley', layoutVersionId: 'a', clean: { of: 1, hits: 1 }, counts: [5], quality: null },
    { pairId: 'quill', layoutVersionId: 'b', clean: { of: 1, hits: 1 }, counts: [5], groundsM: [18.3] },
  ]);
  expect(beforeAfter).toEqual([
    {
      ...{ pairId: 'quill', question: 'line', key: 'line', firstDay: '2026-05-01', lastDay: '2026-06-01' },
      ...{ first: { of: 2, hits: 1 }, last: { of: 1, hits: 1 } },
    },
  ]);
});

// 18.1 m is five strides of ground of 3.62 m (whole strides; common practice, no source): an easy four.
test.each([
  [testLeg(18.1), 3.62, { of: 20, hits: 19 }, { kind: 'harder', count: 4, groundM: 18.1 }],
  [testLeg(18.1), 3.4, { of: 20, hits: 6 }, { kind: 'change', count: 4, groundM: 18.0 }],
  [testLeg(18.1), 3.8, { of: 20, hits: 6 }, { kind: 'change', count: 4, groundM: 18.2 }],
  [testLeg(18.1, 5), 3.62, { of: 20, hits: 6 }, { kind: 'change', count: 5, groundM: 18.2 }],
  [testLeg(18.1), 3.62, { of: 20, hits: 5 }, { kind: 'keep', count: 4 }],
  [testLeg(18.1), 3.4, { of: 3, hits: 0 }, { kind: 'keep', count: 4 }],
])('%j for a stride of %f m, %j clean', (one, strideM, clean, expected) => {
  const next = nextSetting(one, strideM, clean);
  expect(next).toMatchObject({
    ...expected,
    ...('groundM' in expected ? { groundM: expect.closeTo(expected.groundM!, 9) } : {}),
  });
  expect(next.reason).toContain(`${clean.hits} of ${clean.of}`);
});

test('pairs whose strides lie within 6 % of each other share a spacing', () => {
  const pairs = [
    { id: 'pony', strideM: () => 2.6 },
    { id: 'cob', strideM: () => 3.44 },
    { id: 'mare', strideM: () => 3.6 },
    { id: 'big', strideM: () => 3.85 },
    { id: 'unknown', strideM: () => null },
  ];
  const { sharing, balance } = groupReview(pairs, [
    pass('cob', 'a', '2026-05-01', 'left'),
    pass('cob', 'a', '2026-05-03', 'left', { kind: 'void' }),
    pass('cob', 'a', '2026-05-02', 'right'),
  ]);
  const course = sharing.filter(({ entry }) => entry === 'course-canter');
  expect(course.map(({ pairIds }) => pairIds)).toEqual([['cob', 'mare']]);
  expect(balance.find(({ pairId }) => pairId === 'cob')).toMatchObject({
    ...{ passes: 2, byRein: { left: 1, right: 1 }, jumping: 2, poles: 0, flat: 0, efforts: 4, lastDay: '2026-05-02' },
  });
  expect(balance.find(({ pairId }) => pairId === 'pony')).toMatchObject({ passes: 0, lastDay: null });
});

test('a place that stands out is told with what to look at, and a pair with its name', () => {
  const arena = { widthM: 20, lengthM: 60, letters: '20x60' } as const;
  const place = { at: { xM: 19, yM: 31 }, visits: 60, troubles: 20, expected: 6, p: 0.0001, isWay: false };
  const quiet = { ...place, standsOut: false, whose: null, pairId: null };
  const [whole] = placeClaims(
    [quiet, { ...place, standsOut: true, whose: 'place', pairId: 'a' }],
    arena,
    () => 'Quill',
  );
  expect(whole!.text).toContain('More goes wrong near B than elsewhere, whoever rides: look at the footing, the slope');
  expect(whole!.because).toContain('20 times in 60 rides over it, where 6.0 would be usual');
  const [own] = placeClaims([{ ...place, standsOut: true, whose: 'pair', pairId: 'a' }], arena, () => 'Quill');
  expect(own!.text).toContain('Quill has trouble near B more than elsewhere');
  expect(placeClaims([quiet], arena, () => '')).toEqual([]);
});

test.each([
  [{ passes: 20, left: 10, jumping: 8, poles: 8, flat: 4 }, []],
  [{ passes: 20, left: 15, jumping: 8, poles: 8, flat: 4 }, ['mostly on the left rein: 15 of 20']],
  [{ passes: 20, left: 10, jumping: 20, poles: 0, flat: 0 }, ['nothing but fences']],
  [{ passes: 20, left: 10, jumping: 12, poles: 8, flat: 0 }, ['nothing on the flat']],
  [{ passes: 5, left: 5, jumping: 5, poles: 0, flat: 0 }, []],
  [{ passes: 0, left: 0, jumping: 0, poles: 0, flat: 0 }, ['not ridden']],
])('%j: %j', ({ passes, left, ...kinds }, words) =>
  expect(
    balanceWords({ pairId: 'a', passes, byRein: { left, right: passes - left }, ...kinds, efforts: 0, lastDay: null }),
  ).toEqual(words),
);
