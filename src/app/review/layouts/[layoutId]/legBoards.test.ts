import type { PassMark, ReviewPass } from '@/core';
import { legBoards } from './legBoards';

const RULE = { fixed: 1, perStride: 1, zeroStrides: 1, zeroIs: 'bounce', keepsFixed: false } as const;
const leg = (from: string, to: string, groundM: number) => ({
  ...{ from, to, groundM, countedM: groundM, turnShare: 1, rule: RULE, entry: 'course-canter' as const },
  ...{ asked: null, betweenPoles: false },
});
let id = 0;

/** A pass over two legs: 18 m, where four strides of 3.60 m are even, and 15 m; with the count ridden in the first. */
function pass(pairId: string, count: number | null, changes: Partial<ReviewPass> = {}): ReviewPass {
  id += 1;
  const marks: PassMark[] = count === null ? [] : [{ id: `m${id}`, kind: 'strides', place: 1, count }];
  return {
    ...{ id: `${id}`, pairId, layoutVersionId: 'v', key: 'course', questionWords: 'course', marks, faults: [] },
    ...{ isVoid: false, line: null, day: '2026-05-04', riddenAtMs: id, rein: null, direction: 'as-drawn' },
    ground: { legs: [leg('fence 1', 'fence 2', 18), leg('fence 2', 'fence 3', 15)] },
    ...changes,
  } as unknown as ReviewPass;
}
const stride = () => () => 3.6;
const pairs = [{ id: 'a' }, { id: 'b' }];

test('each pair has its counts and what is set next in each leg of what it rode last', () => {
  const passes = [pass('a', 4), pass('a', 4), pass('a', 5), pass('b', 3), pass('a', null, { isVoid: true })];
  const [board, ...others] = legBoards(passes, pairs, stride);
  expect(others).toEqual([]);
  expect(board!.legs.map(({ groundM }) => groundM)).toEqual([18, 15]);
  expect(board!.rows.map(({ pairId, clean }) => [pairId, clean.of])).toEqual([
    ['a', 3],
    ['b', 1],
  ]);
  const [first, second] = board!.rows[0]!.cells;
  // By hand: 18 m less a stride to land and take off is four of 3.60 m.
  expect(first).toMatchObject({ count: 4, kind: 'keep', liesM: 18 });
  expect(first!.ridden).toEqual([
    { count: 4, times: 2 },
    { count: 5, times: 1 },
  ]);
  expect(second!.ridden).toEqual([]);
});

test('what was ridden before over another setting is left out; pairs that rode something else have a board of their own', () => {
  const passes = [pass('a', 4, { layoutVersionId: 'old' }), pass('a', 4), pass('b', 4, { key: 'the line' })];
  const boards = legBoards(passes, pairs, stride);
  expect(boards.map(({ rows }) => rows.map(({ pairId, clean }) => [pairId, clean.of]))).toEqual([
    [['a', 1]],
    [['b', 1]],
  ]);
});

test('where nobody’s stride is known there is no board', () =>
  expect(legBoards([pass('a', 4)], pairs, () => () => null)).toEqual([]));
