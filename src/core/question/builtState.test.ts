import type { Fence, FenceForm, Item } from '../items/item';
import { newItem } from '../plan/newItem';
import { AS_LAID_OUT, builtItem, overState } from './builtState';

const AT = { xM: 10, yM: 20 };
const fence = (form: Fence['form'], changes: Partial<Fence> = {}): Fence => ({
  ...(newItem(form, 'a', AT, 0) as Fence),
  ...changes,
});
const built = (item: Item, form: FenceForm | null, heightM: number | null) =>
  builtItem(item, {
    ...AS_LAID_OUT,
    ...(form === null ? {} : { form: { [item.id]: form } }),
    ...(heightM === null ? {} : { heightM: { [item.id]: heightM } }),
  }) as Fence;

test('a fence keeps its place and its width whatever it is built as', () => {
  const oxer = fence('oxer', { widthM: 3.5, spreadM: 1.1 });
  for (const form of ['vertical', 'cross-rail', 'triple-bar', 'corner'] as const)
    expect(built(oxer, form, 0.8)).toMatchObject({ form, at: AT, headingRad: 0, widthM: 3.5, heightM: 0.8 });
});

test('a spread belongs to an oxer, a triple bar and a corner: nothing else has one', () => {
  const oxer = fence('oxer', { spreadM: 1.1 });
  expect((['vertical', 'cross-rail'] as const).map(form => built(oxer, form, null).spreadM)).toEqual([0, 0]);
  expect((['triple-bar', 'corner'] as const).map(form => built(oxer, form, null).spreadM)).toEqual([1.1, 1.1]);
});

test('a corner has the shape of its rails only as long as it is one', () => {
  const corner = fence('corner');
  expect(corner.corner).not.toBeNull();
  expect(built(corner, null, 0.9).corner).toEqual(corner.corner);
  expect(built(corner, 'vertical', null).corner).toBeNull();
});

// A cross-rail hangs: its sides are higher than its middle (common practice, no source).
test('the sides of a cross-rail go up and down with its middle, by as much', () => {
  const cross = fence('cross-rail', { heightM: 0.4, sideHeightM: 0.7 });
  expect(built(cross, null, 0.55).sideHeightM).toBeCloseTo(0.85, 9);
  expect(built(cross, null, 0.3).sideHeightM).toBeCloseTo(0.6, 9);
});

test('what is made a cross-rail, or has no sides of its own, has them at twice its middle; what is none has none', () => {
  expect(built(fence('vertical', { sideHeightM: null }), 'cross-rail', 0.5).sideHeightM).toBeCloseTo(1, 9);
  expect(built(fence('vertical', { sideHeightM: 3 }), 'cross-rail', 0.5).sideHeightM).toBeCloseTo(1, 9);
  expect(built(fence('cross-rail', { sideHeightM: null }), null, 0.5).sideHeightM).toBeCloseTo(1, 9);
  expect(built(fence('cross-rail', { heightM: 0.4, sideHeightM: 0.7 }), 'vertical', null).sideHeightM).toBeNull();
});

test('a pole is raised at both ends; a fence that lies as a pole is one of its width, flat', () => {
  const pole = newItem('pole', 'p', AT, 0);
  expect(builtItem(pole, { ...AS_LAID_OUT, raisedM: { p: 0.15 } })).toMatchObject({
    raised: { leftM: 0.15, rightM: 0.15 },
  });
  expect(builtItem(pole, AS_LAID_OUT)).toBe(pole);
  expect(builtItem(fence('oxer', { widthM: 3.5 }), { ...AS_LAID_OUT, asPole: ['a'] })).toMatchObject({
    ...{ kind: 'pole', lengthM: 3.5, at: AT, raised: { leftM: 0, rightM: 0 } },
  });
});

test('what is left out is not there; what nothing is said of is as it was laid out', () => {
  const vertical = fence('vertical');
  expect(builtItem(vertical, { ...AS_LAID_OUT, out: ['a'] })).toBeNull();
  expect(builtItem(vertical, { ...AS_LAID_OUT, out: ['another'] })).toBe(vertical);
  const cone = newItem('cone', 'c', AT, 0);
  expect(builtItem(cone, { ...AS_LAID_OUT, heightM: { c: 1 } })).toBe(cone);
});

test('one state over another: a fence that is given a height is a pole no more, unless it is said to be one', () => {
  const poles = { ...AS_LAID_OUT, asPole: ['a', 'b'], out: ['x'] };
  expect(overState(poles, { ...AS_LAID_OUT, heightM: { a: 0.6 }, out: ['x', 'y'] })).toMatchObject({
    ...{ asPole: ['b'], heightM: { a: 0.6 }, out: ['x', 'y'] },
  });
  const asSaid = overState(poles, { ...AS_LAID_OUT, heightM: { a: 0.6 }, asPole: ['a'] });
  expect([...asSaid.asPole].sort()).toEqual(['a', 'b']);
});
