import type { Cone, Item } from '../items/item';
import { testFence, testLayout } from '../layout/testLayout';
import { movedItem, movedLayout, movedPose, piecesOf, STAYS } from './pieces';

const cone = (id: string, xM: number, yM: number): Cone => ({ kind: 'cone', id, name: null, at: { xM, yM } });
const UP = testFence('up', 10, 20, 0);
const ACROSS = testFence('across', 20, 20, 90);
const at = (item: Item) => [item.at.xM, item.at.yM].map(valueM => Math.round(valueM * 1e6) / 1e6 + 0);
const NONE: ReadonlyMap<string, string> = new Map();

describe('what moves as one', () => {
  const items = [UP, ACROSS, cone('beside', 12.4, 20), cone('between', 17.6, 20), cone('far', 10, 22.6)];
  const layout = { items };

  test('goes with what it stands by, the nearer of two, and what stands by nothing stays', () => {
    expect(piecesOf(layout, NONE, []).map(({ id, itemIds, locked }) => [id, itemIds, locked])).toEqual([
      ['up', ['up', 'beside'], false],
      ['across', ['across', 'between'], false],
    ]);
    const [nearer] = piecesOf({ items: [UP, testFence('next', 14, 20, 0), cone('c', 12.1, 20)] }, NONE, []).slice(1);
    expect(nearer!.itemIds).toEqual(['next', 'c']);
  });

  test('an exercise is one piece, with its cones wherever they are, about its middle', () => {
    const owner = new Map(['up', 'across', 'far'].map(id => [id, 'exercise'] as const));
    const [piece, ...others] = piecesOf(layout, owner, []);
    expect([piece!.id, piece!.itemIds, others]).toEqual([
      ...['exercise', ['up', 'across', 'far', 'beside', 'between'], []],
    ]);
    expect(piece!.pose).toEqual({ at: { xM: 15, yM: 20 }, headingRad: UP.headingRad });
  });

  test('what is locked holds its piece; a locked cone stays alone', () => {
    const locked = (...ids: string[]) =>
      piecesOf(layout, NONE, ids).map(({ id, itemIds, locked: isLocked }) => [id, itemIds.length, isLocked]);
    expect(locked('up')).toEqual([
      ['up', 2, true],
      ['across', 2, false],
    ]);
    expect(locked('beside')).toEqual([
      ['up', 1, false],
      ['across', 2, false],
    ]);
    const owner = new Map([['up', 'exercise'] as const]);
    expect(piecesOf({ items: [UP] }, owner, ['exercise'])[0]!.locked).toBe(true);
    expect(piecesOf({ items: [UP] }, owner, ['up'])[0]!.locked).toBe(true);
  });
});

test('moved along the way it is ridden, to the left of it, and turned', () => {
  const [piece] = piecesOf({ items: [UP] }, NONE, []);
  // It faces up: along is up, left is west.
  const pose = movedPose(piece!, { alongM: 2, leftM: 1, turnRad: Math.PI / 2 });
  expect([pose.at.xM, pose.at.yM]).toEqual([expect.closeTo(9, 9), expect.closeTo(22, 9)]);
  expect(pose.headingRad).toBeCloseTo(UP.headingRad + Math.PI / 2, 9);
});

test('a quarter turn to the left carries what stands before a fence to its left, and turns what has a way', () => {
  const before = cone('before', 10, 22);
  const [piece] = piecesOf({ items: [UP, before] }, NONE, []);
  const move = { alongM: 0, leftM: 0, turnRad: Math.PI / 2 };
  expect(at(movedItem(before, piece!, move))).toEqual([8, 20]);
  expect(movedItem(before, piece!, move)).not.toHaveProperty('headingRad');
  expect(movedItem(UP, piece!, move)).toMatchObject({
    headingRad: expect.closeTo(UP.headingRad + Math.PI / 2, 9) as number,
  });
  expect(movedItem(UP, piece!, STAYS)).toBe(UP);
});

test('only what is moved is made anew', () => {
  const layout = testLayout([UP, ACROSS, cone('beside', 12, 20)]);
  const pieces = piecesOf(layout, NONE, []);
  expect(movedLayout(layout, pieces, [STAYS, STAYS])).toBe(layout);
  const moved = movedLayout(layout, pieces, [{ alongM: 1, leftM: 0, turnRad: 0 }, STAYS]);
  expect(moved.items.map(at)).toEqual([
    [10, 21],
    [20, 20],
    [12, 21],
  ]);
  expect(moved.items[1]).toBe(ACROSS);
  expect(layout.items[0]).toBe(UP);
});
