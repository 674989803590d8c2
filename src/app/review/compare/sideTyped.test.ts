import { sideName, sideTyped } from './sideTyped';

const CHOICES = { pairIds: ['quill', 'barley'], layoutIds: ['line'], versionIds: ['v1'] };
const NAMES = {
  pair: (id: string) => id.toUpperCase(),
  layout: (id: string) => `“${id}”`,
  setting: (id: string) => `as ${id}`,
  day: (day: string) => day.slice(5),
};

test('a side is read out of the address', () => {
  const words = {
    aPair: 'quill',
    aRein: 'left',
    bPair: 'barley',
    bFrom: '2026-05-04',
    bUntil: '2026-05-31',
    bLayout: 'line',
  };
  expect(sideTyped(words, 'a', CHOICES)).toEqual({ side: { pairId: 'quill', rein: 'left' }, faults: [] });
  expect(sideTyped({ ...words, bSetting: 'v1' }, 'b', CHOICES)).toEqual({
    side: { pairId: 'barley', layoutId: 'line', layoutVersionId: 'v1', fromDay: '2026-05-04', untilDay: '2026-05-31' },
    faults: [],
  });
});

test.each([
  [{ aPair: 'gone' }, /That pair is not in this yard/],
  [{ aLayout: 'gone' }, /That layout/],
  [{ aSetting: 'gone' }, /That setting/],
  [{ aFrom: '2026-02-30' }, /“2026-02-30” is no day/],
  [{ aUntil: '<script>' }, /is no day/],
  [{ aFrom: '2026-05-04', aUntil: '2026-05-01' }, /The last day is before the first/],
])('%j is told in a sentence', (words, fault) => {
  const { side, faults } = sideTyped(words, 'a', CHOICES);
  expect(faults).toHaveLength(1);
  expect(faults[0]).toMatch(fault);
  expect(side.pairId).toBeUndefined();
});

test('what is not understood of a rein, or is there twice, is not asked for', () => {
  expect(sideTyped({ aRein: 'up', aPair: ['quill', 'barley'], aFrom: '' }, 'a', CHOICES)).toEqual({
    side: {},
    faults: [],
  });
});

test('a side is called by what tells it from the other', () => {
  const [left, right] = [{ pairId: 'quill', rein: 'left' } as const, { pairId: 'quill', rein: 'right' } as const];
  expect([sideName(left, right, NAMES), sideName(right, left, NAMES)]).toEqual(['the left rein', 'the right rein']);
  const [before, after] = [{ untilDay: '2026-05-04' }, { fromDay: '2026-05-05' }];
  expect([sideName(before, after, NAMES), sideName(after, before, NAMES)]).toEqual(['until 05-04', 'from 05-05 on']);
  expect(sideName({ fromDay: '2026-05-04', untilDay: '2026-05-04' }, {}, NAMES)).toBe('05-04');
  expect(sideName(left, left, NAMES)).toBe('QUILL, the left rein');
  expect(sideName({}, left, NAMES)).toBe('all that was ridden');
});
