import type { Cone, Item } from '../items/item';
import { newItem } from '../plan/newItem';
import { testFence, testLayout } from '../layout/testLayout';
import { lineOrder } from './lineOrder';

const cone = (id: string, xM: number, yM: number): Cone => ({ kind: 'cone', id, name: null, at: { xM, yM } });
const [A, B, C] = [testFence('a', 10, 10, 0), testFence('b', 10, 30, 0), testFence('c', 20, 40, 0)];
const DOOR = { xM: 0, yM: 0 };
const order = (items: Item[], through: string[][], from = DOOR) => {
  const tracks = through.flatMap(
    stops => testLayout(items, { track: { through: stops.map(item => ({ item, reversed: false })) } }).tracks,
  );
  return lineOrder(items, tracks, from).map(({ item, owner }) => (owner ? `${item.id} of ${owner.id}` : item.id));
};

test('in the order in which they are ridden, track by track, each once', () => {
  expect(
    order(
      [A, B, C],
      [
        ['c', 'a'],
        ['a', 'b', 'c'],
      ],
    ),
  ).toEqual(['c', 'a', 'b']);
  expect(order([A, B, C], [['b', 'gone', 'a']])).toEqual(['b', 'a', 'c']);
});

test('what helps a fence stands behind it: of two the nearer one, five metres at the most', () => {
  const items = [cone('far', 10, 20), cone('near a', 12, 12), cone('near b', 10, 26), A, B];
  expect(order(items, [['a', 'b']])).toEqual(['a', 'near a of a', 'b', 'near b of b', 'far']);
  expect(order([cone('five', 15, 10), A], [['a']])).toEqual(['a', 'five of a']);
  expect(order([cone('more', 15.01, 10), A], [['a']])).toEqual(['a', 'more']);
});

test('what nobody rides comes last, on from the last that is ridden; with nothing ridden, from where the kit comes', () => {
  const loose = [newItem('pole', 'p', { xM: 20, yM: 55 }, 0), newItem('pole', 'q', { xM: 5, yM: 5 }, 0)];
  expect(order([...loose, C], [['c']])).toEqual(['c', 'p', 'q']);
  expect(order(loose, [])).toEqual(['q', 'p']);
  expect(order(loose, [], { xM: 20, yM: 60 })).toEqual(['p', 'q']);
});
