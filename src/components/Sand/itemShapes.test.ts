import { ITEM_CHOICES, newItem, type Fence, type Item, type ItemChoice } from '@/core';
import { itemShapes } from './itemShapes';
import { sandView } from './sandView';
import type { PathShape } from './shape';

// A stands at the left: ridden towards C, an item's right end lies down the page.
const VIEW = sandView({ widthM: 20, lengthM: 60, letters: 'none' }, 'along');
const AT = { xM: 8, yM: 25 };
const TO_C = Math.PI / 2;

const shapesOf = (item: Item) => itemShapes(item, VIEW) as PathShape[];
const made = (choice: ItemChoice, changes: Partial<Fence> = {}) =>
  ({ ...newItem(choice, 'x', AT, TO_C), ...changes }) as Item;
const looks = (item: Item) => shapesOf(item).map(({ look }) => look);

/** From where to where a shape reaches about the item's middle: along the way it is ridden, and across it. */
function reach(shape: PathShape | undefined) {
  const numbers = (shape!.d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
  const alongs = numbers.filter((_, index) => index % 2 === 0).map(x => x - AT.yM);
  const acrosses = numbers.filter((_, index) => index % 2 === 1).map(y => y - AT.xM);
  const span = (values: number[]) =>
    [Math.min(...values), Math.max(...values)].map(value => Number(value.toFixed(6)) + 0);
  return { along: span(alongs), across: span(acrosses) };
}

const shape = (item: Item, look: string) => shapesOf(item).find(one => one.look === look);

test.each(ITEM_CHOICES)('%s has one shape that says where it lies', choice => {
  const shapes = shapesOf(made(choice));
  expect(shapes.length).toBeGreaterThan(0);
  expect(shapes.some(({ rail }) => rail)).toBe(true);
  // No place of it is without a number.
  expect(shapes.every(({ d }) => !/NaN|undefined|Infinity/.test(d))).toBe(true);
});

test('a vertical is one rail across the way it is ridden, a block at each end', () => {
  const fence = made('vertical', { widthM: 3, groundLineBeforeM: null });
  expect(reach(shape(fence, 'rail'))).toEqual({ along: [0, 0], across: [-1.5, 1.5] });
  // Stands of half a metre, outside the rail.
  expect(reach(shape(fence, 'block')).across).toEqual([-2, 2]);
});

test('an oxer has two rails, as far apart as it is wide; a triple bar three', () => {
  const oxer = shape(made('oxer', { spreadM: 1.2, widthM: 3 }), 'rail')!;
  expect(reach(oxer)).toEqual({ along: [-0.6, 0.6], across: [-1.5, 1.5] });
  expect(oxer.d.match(/M/g)).toHaveLength(2);
  const triple = shape(made('triple-bar', { spreadM: 1.4 }), 'rail')!;
  expect(reach(triple).along).toEqual([-0.7, 0.7]);
  expect(triple.d.match(/M/g)).toHaveLength(3);
});

test('a ground line lies before the front, on the side one comes from', () => {
  const fence = made('oxer', { spreadM: 1.2, groundLineBeforeM: 0.3 });
  expect(reach(shape(fence, 'groundLine')).along).toEqual([-0.9, -0.9]);
  expect(shape(made('oxer', { groundLineBeforeM: null }), 'groundLine')).toBeUndefined();
});

test('a fence that is ridden one way points that way; one from both sides does not', () => {
  const oneWay = made('vertical', { ridden: 'one-way' });
  expect(reach(shape(oneWay, 'oneWay')).along[0]).toBeGreaterThan(0.5);
  expect(looks(made('vertical', { ridden: 'both-ways' }))).not.toContain('oneWay');
});

test('a corner is a wedge: wide at one end, together at the flag', () => {
  const corner = made('corner', { widthM: 3, spreadM: 1 });
  const wedge = shape(corner, 'corner')!;
  expect(reach(wedge)).toEqual({ along: [-1, 1], across: [-1.5, 1.5] });
  const places = (wedge.d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
  // Its middle place is the flag: level with the middle, at one end.
  expect(places[2]! - AT.yM).toBeCloseTo(0, 6);
  expect(Math.abs(places[3]! - AT.xM)).toBeCloseTo(1.5, 6);
  const other = { ...corner, corner: { narrowEnd: 'right', aimFromFlagM: 0.6 } } as Item;
  const flagAt = (item: Item) => Number((shape(item, 'corner')!.d.match(/-?\d+(\.\d+)?/g) ?? [])[3]) - AT.xM;
  expect(flagAt(other)).toBeCloseTo(1.5, 6);
});

test('raised ends stand on blocks, at the ends that are raised', () => {
  const pole = newItem('pole', 'x', AT, TO_C) as Extract<Item, { kind: 'pole' }>;
  const blocks = (leftM: number, rightM: number) =>
    shapesOf({ ...pole, lengthM: 3, raised: { leftM, rightM } })
      .filter(({ look }) => look === 'block')
      .map(block => reach(block).across);
  expect(blocks(0, 0)).toEqual([]);
  expect(blocks(0.2, 0)).toEqual([[-1.75, -1.25]]);
  expect(blocks(0.2, 0.2)).toEqual([
    [-1.75, -1.25],
    [1.25, 1.75],
  ]);
});

test('bands of a pole are a seventh of it', () => {
  const pole = newItem('pole', 'x', AT, TO_C) as Extract<Item, { kind: 'pole' }>;
  expect(shape({ ...pole, lengthM: 3.5 }, 'bands')!.dashM).toBeCloseTo(0.5, 6);
});

test('turned a quarter, what lay across lies along', () => {
  const fence = { ...made('oxer', { spreadM: 1.2, widthM: 3 }), headingRad: 0 } as Item;
  expect(reach(shape(fence, 'rail'))).toEqual({ along: [-1.5, 1.5], across: [-0.6, 0.6] });
});
