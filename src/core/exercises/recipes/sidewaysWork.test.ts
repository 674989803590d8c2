import type { Arena } from '../../arena/arena';
import { leavesPose, figureTrackOf } from '../testFigures';

const SAND: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const FIELD: Arena = { widthM: 24, lengthM: 60, letters: 'none' };

/** The line sideways of a session, and where it ends. */
function lineOf(arena: Arena, kind: string, params: Record<string, string | number>) {
  const track = figureTrackOf(arena, kind, params);
  const at = track.figures.findIndex(({ figure }) => figure.kind === 'sideways');
  const { figure } = track.figures[at]!;
  if (figure.kind !== 'sideways') throw new Error('no line');
  return { ...figure, end: leavesPose(arena, track, at).at, before: track.figures.slice(0, at).map(one => one.figure) };
}

test('where no letter says where, a leg-yield goes as far ahead and aside as was asked, in the middle of the long side', () => {
  const { start, end, before } = lineOf(FIELD, 'leg-yield', { asideM: 6, aheadM: 20 });
  expect([end.xM, end.yM - start.at.yM]).toEqual([expect.closeTo(24, 9), expect.closeTo(20, 9)]);
  // As much before it as after it: (60 - 20) / 2.
  expect([start.at.xM, start.at.yM]).toEqual([expect.closeTo(18, 9), expect.closeTo(20, 9)]);
  expect(before).toMatchObject([{ kind: 'straight', lengthM: 6 }]);
});

test('a long one still has room to be straight before it', () => {
  expect(lineOf(FIELD, 'leg-yield', { asideM: 6, aheadM: 44 }).start.at.yM).toBeCloseTo(12, 9);
});

test('from a letter to no letter it goes as far ahead as was asked; from the quarter line a quarter of the width aside', () => {
  const fromD = lineOf(SAND, 'leg-yield', { from: 'D', arrives: 'wherever', aheadM: 18 });
  expect(fromD.end.yM - fromD.start.at.yM).toBeCloseTo(18, 9);
  expect(fromD.end.xM).toBeCloseTo(20, 9);
  const quarter = lineOf(SAND, 'leg-yield', { from: 'quarter line', arrives: 'B or E', aheadM: 15 });
  expect([quarter.start.at.xM, quarter.end.yM]).toEqual([expect.closeTo(15, 9), expect.closeTo(30, 9)]);
});

test('a line that would go backwards, or nowhere, is none', () => {
  // M lies ahead of X, F behind it; B is level with it.
  expect(() => lineOf(SAND, 'leg-yield', { from: 'X', arrives: 'M or H' })).not.toThrow();
  for (const arrives of ['F or K', 'B or E'])
    expect(() => lineOf(SAND, 'leg-yield', { from: 'X', arrives })).toThrow(/X/);
});
