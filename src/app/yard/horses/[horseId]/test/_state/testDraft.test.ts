import { StrideTestOnPaper } from '@/files/strideTestForm';
import {
  changeDraft,
  columnOnPaper,
  columnsOf,
  keptDraft,
  newDraft,
  type DraftChange,
  type TestDraft,
} from './testDraft';

const start = newDraft('6f7a5c9e-1c64-4a3e-9a40-0d5f7c5b8a11', 'trot');
const NEXT = '9d2b7a54-2f0e-4d36-8f7e-0a4f1c9f2b31';
const from = (draft: TestDraft, ...changes: DraftChange[]): TestDraft =>
  changes.reduce((before, change) => changeDraft(before, change, NEXT), draft);
const after = (...changes: DraftChange[]): TestDraft => from(start, ...changes);
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
  const one = from(two, { kind: 'remove', index: 0 });
  expect(one.passes.map(({ count }) => count)).toEqual([9]);
  expect(from({ ...one, count: 3 }, { kind: 'start-again' })).toMatchObject({ count: 0, passes: one.passes });
});

test('what is sent is what the server takes', () => {
  const draft = after(
    ...taps(8),
    { kind: 'keep', voided: false },
    { kind: 'judge', index: 0, quality: { rhythm: 4 } },
    { kind: 'set', changes: { note: 'windy' } },
  );
  expect(StrideTestOnPaper.safeParse(columnOnPaper(draft, 'horse', 1_700_000_000_000))).toMatchObject({
    success: true,
    data: { note: 'windy', rhythm: 4, passes: [{ rhythm: 4, roundness: null }] },
  });
  const empty = StrideTestOnPaper.safeParse(columnOnPaper(start, 'horse', 0));
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

const kept = (count: number): DraftChange[] => [...taps(count), { kind: 'keep', voided: false }];

test('three walk counts stay a walk when the gait is changed: the trot begins a column of its own', () => {
  const walk: DraftChange = { kind: 'set', changes: { entry: 'walk' } };
  const trot: DraftChange = { kind: 'set', changes: { entry: 'trot' } };
  const sheet = after(walk, ...kept(10), ...kept(10), ...kept(11), trot, ...kept(8));
  expect(columnsOf(sheet).map(({ entry, passes }) => [entry, passes.map(({ count }) => count)])).toEqual([
    ['walk', [10, 10, 11]],
    ['trot', [8]],
  ]);
  // Back to walk goes on in the column that is there.
  const again = from(sheet, walk, ...kept(12));
  expect(again.passes.map(({ count }) => count)).toEqual([10, 10, 11, 12]);
  expect(new Set(columnsOf(again).map(({ id }) => id)).size).toBe(2);
});

test.each<DraftChange>([
  { kind: 'set', changes: { moment: 'after' } },
  { kind: 'set', changes: { lane: { kind: 'taped', lengthM: 20 } } },
  { kind: 'set', changes: { riderId: 'somebody' } },
])('what two tests have to share begins a column too (%j)', change => {
  expect(columnsOf(from(after(...kept(8)), change)).map(({ passes }) => passes.length)).toEqual([1, 0]);
});

test('a count that is under way is never relabelled, and comes back', () => {
  const counting = after(...taps(3));
  expect(from(counting, { kind: 'pace', pace: 'short' })).toMatchObject({ pace: 'normal', count: 3 });
  const other = from(counting, { kind: 'set', changes: { entry: 'canter' } });
  expect(other).toMatchObject({ entry: 'canter', count: 0 });
  expect(from(other, { kind: 'undo' })).toMatchObject({ entry: 'trot', count: 3 });
});

test('void and drop are taken back', () => {
  const voided = from(after(...kept(8), ...taps(5)), { kind: 'keep', voided: true });
  expect(voided.passes.map(pass => pass.voided)).toEqual([false, true]);
  expect(from(voided, { kind: 'undo' })).toMatchObject({ count: 5, passes: [{ count: 8 }] });
  const dropped = from(voided, { kind: 'drop' });
  expect(dropped).toMatchObject({ passes: [], others: [], id: NEXT });
  expect(from(dropped, { kind: 'undo' }).passes).toEqual(voided.passes);
  expect(from(start, { kind: 'undo' })).toBe(start);
});

test('two horses in turn on one sheet: each has its own columns, and is sent as its own', () => {
  const turn = (horseId: string | null): DraftChange => ({ kind: 'set', changes: { horseId } });
  const sheet = after(...kept(8), turn('second'), ...kept(10), turn(null), ...kept(9));
  const columns = columnsOf(sheet);
  expect(columns.map(({ horseId, passes }) => [horseId, passes.map(({ count }) => count)])).toEqual([
    ['second', [10]],
    [null, [8, 9]],
  ]);
  expect(columns.map(column => columnOnPaper(column, 'first', 0).horseId)).toEqual(['second', 'first']);
  // Dropped while the second was ridden: it goes on with that one.
  expect(from(sheet, turn('second'), { kind: 'drop' }).horseId).toBe('second');
});
