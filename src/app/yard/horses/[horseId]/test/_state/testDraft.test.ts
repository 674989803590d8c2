import { StrideTestOnPaper } from '@/files/strideTestForm';
import { changeDraft, draftOnPaper, keptDraft, newDraft, type DraftChange, type TestDraft } from './testDraft';

const start = newDraft('6f7a5c9e-1c64-4a3e-9a40-0d5f7c5b8a11', 'trot');
const after = (...changes: DraftChange[]): TestDraft => changes.reduce(changeDraft, start);
const taps = (count: number): DraftChange[] => Array.from({ length: count }, () => ({ kind: 'tap' }));

test('taps count, a tap too many is taken back, and the pass is kept at its pace', () => {
  const draft = after({ kind: 'pace', pace: 'short' }, ...taps(12), { kind: 'untap' }, { kind: 'keep', voided: false });
  expect(draft.passes).toEqual([{ pace: 'short', count: 11, behind: null, part: null, voided: false }]);
  expect(draft).toMatchObject({ count: 0, pace: 'short' });
});

test('a pass without a stride is none, but it may be void', () => {
  expect(after({ kind: 'keep', voided: false }).passes).toEqual([]);
  expect(after({ kind: 'keep', voided: true }).passes).toMatchObject([{ voided: true, count: 1 }]);
});

test('the parts at its ends belong to its pass alone', () => {
  const draft = after(
    ...taps(8),
    { kind: 'behind', behind: 0.25 },
    { kind: 'part', part: 0.5 },
    { kind: 'keep', voided: false },
    ...taps(8),
    {
      kind: 'keep',
      voided: false,
    },
  );
  expect(draft.passes.map(({ behind, part }) => [behind, part])).toEqual([
    [0.25, 0.5],
    [null, null],
  ]);
});

test('counts that make no sense change nothing', () => {
  for (const count of [-1, 2.5, 1000, Number.NaN]) expect(after({ kind: 'count', count })).toBe(start);
  expect(after({ kind: 'untap' }).count).toBe(0);
});

test('passes are removed by their place, and a new start leaves them', () => {
  const two = after(...taps(8), { kind: 'keep', voided: false }, ...taps(9), { kind: 'keep', voided: false });
  const one = changeDraft(two, { kind: 'remove', index: 0 });
  expect(one.passes.map(({ count }) => count)).toEqual([9]);
  expect(changeDraft({ ...one, count: 3 }, { kind: 'start-again' })).toMatchObject({ count: 0, passes: one.passes });
});

test('what is sent is what the server takes', () => {
  const draft = after(
    ...taps(8),
    { kind: 'keep', voided: false },
    { kind: 'set', changes: { note: 'windy', rhythm: 4 } },
  );
  expect(StrideTestOnPaper.safeParse(draftOnPaper(draft, 'horse', 1_700_000_000_000)).success).toBe(true);
  const empty = StrideTestOnPaper.safeParse(draftOnPaper(start, 'horse', 0));
  expect(empty.error?.issues[0]?.message).toBe('Ride at least one pass.');
});

test('a draft that an older Roan kept has no parts behind the start, and is read all the same', () => {
  const { behind, ...older } = newDraft('t1', 'trot');
  expect(behind).toBeNull();
  const kept = keptDraft({ ...older, passes: [{ pace: 'normal', count: 8, part: 0.5, voided: false }] })!;
  expect(kept.behind).toBeNull();
  expect(kept.passes).toEqual([{ pace: 'normal', count: 8, behind: null, part: 0.5, voided: false }]);
  expect(keptDraft(null)).toBeNull();
  expect(keptDraft({ id: 7 })).toBeNull();
});
