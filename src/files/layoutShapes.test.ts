import { newItem, type Fence, type Item } from '@/core';
import { drawingSheet, layoutShapes, scaleBar, type ShapesWish } from './layoutShapes';
import type { PathShape, TextShape } from './shape';

const ARENA = { widthM: 20, lengthM: 40, letters: '20x40' } as const;
const UP: ShapesWish = { lies: 'up', numbers: null, textM: 1, unit: 'm' };
const UP_RAD = Math.PI / 2;

const fence = (kind: Parameters<typeof newItem>[0], changes: Partial<Fence> = {}) =>
  ({ ...newItem(kind, 'ash', { xM: 10, yM: 15 }, UP_RAD), ...changes }) as Fence;

const shapesOf = (items: Item[], wish: ShapesWish = UP) => layoutShapes({ arena: ARENA, items }, [], wish);
const groundShapes = layoutShapes({ arena: ARENA, items: [] }, [], UP).length;

/** What an item adds to the ground: after the lines and letters, before the scale bar. */
function itemPaths(item: Item, wish: ShapesWish = UP): PathShape[] {
  const empty = shapesOf([], wish).map(shape => JSON.stringify(shape));
  return shapesOf([item], wish).filter(
    (shape): shape is PathShape => shape.kind === 'path' && !empty.includes(JSON.stringify(shape)),
  );
}
const texts = (items: Item[], wish: ShapesWish = UP) =>
  shapesOf(items, wish).filter((shape): shape is TextShape => shape.kind === 'text');

const numbersOf = (d: string) => (d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
const places = (d: string) => {
  const numbers = numbersOf(d);
  return Array.from({ length: numbers.length / 2 }, (_, at) => [numbers[at * 2]!, numbers[at * 2 + 1]!] as const);
};
const rails = (item: Item, wish?: ShapesWish) => itemPaths(item, wish).filter(({ strokeM }) => strokeM === 0.16);

test('a vertical is one rail as wide as it is, across the way it is ridden, A below', () => {
  const [rail] = rails(fence('vertical', { widthM: 4 }));
  // 15 m up from A is 25 m down from the top of the paper.
  expect(places(rail!.d)).toEqual([
    [8, 25],
    [12, 25],
  ]);
});

test('along, A lies at the left: the same fence is drawn upright, 15 m from there', () => {
  const [rail] = rails(fence('vertical', { widthM: 4 }), { ...UP, lies: 'along' });
  expect(places(rail!.d).map(([x]) => x)).toEqual([15, 15]);
  expect(
    places(rail!.d)
      .map(([, y]) => y)
      .sort((a, b) => a - b),
  ).toEqual([8, 12]);
});

test('an oxer has two rails its spread apart, with a stand at every end', () => {
  const oxer = fence('oxer', { widthM: 4, spreadM: 1 });
  const ys = rails(oxer).flatMap(({ d }) => places(d).map(([, y]) => y));
  expect([...new Set(ys)].sort((a, b) => a - b)).toEqual([24.5, 25.5]);
  expect(itemPaths(oxer).filter(({ fill }) => fill === '#ddd')).toHaveLength(4);
});

test('a corner is two rails that meet where it is narrow', () => {
  const corner = fence('corner', { widthM: 4, spreadM: 1.2 });
  const [[front, flag, back]] = rails(corner).map(({ d }) => places(d)) as [(readonly [number, number])[]];
  expect(flag![1]).toBe(25);
  // The two wide ends lie as far before and behind it, on the other side.
  expect(front![0]).toBe(back![0]);
  expect(Math.abs(front![0] - flag![0])).toBe(4);
  expect([front![1], back![1]].sort((a, b) => a - b)).toEqual([25 - 1.2, 25 + 1.2]);
  expect(itemPaths(corner).filter(({ fill }) => fill === '#ddd')).toHaveLength(3);
});

test('a ground line lies before a fence, and a fence that is ridden one way points that way', () => {
  const plain = fence('vertical', { groundLineBeforeM: null, ridden: 'both-ways' });
  const oneWay = fence('vertical', { groundLineBeforeM: 0.3, ridden: 'one-way', spreadM: 0 });
  const added = itemPaths(oneWay).filter(({ d }) => !itemPaths(plain).some(other => other.d === d));
  expect(added).toHaveLength(2);
  const [line, arrow] = added;
  // Ridden up the paper: before it is below it, and the arrow's tip above.
  expect(places(line!.d).map(([, y]) => y)).toEqual([25.3, 25.3]);
  const [left, tip] = places(arrow!.d);
  expect(tip![1]).toBeLessThan(left![1]);
  expect(tip![1]).toBeLessThan(25);
});

test('two crossed poles cross in the middle', () => {
  const [cross] = rails(fence('cross-rail', { widthM: 4 }));
  const [a, b, c, d] = places(cross!.d);
  expect([(a![0] + b![0]) / 2, (a![1] + b![1]) / 2]).toEqual([10, 25]);
  expect([(c![0] + d![0]) / 2, (c![1] + d![1]) / 2]).toEqual([10, 25]);
  expect(a![1]).not.toBe(c![1]);
});

test('what is no fence is drawn where it stands', () => {
  const guide = newItem('guide', 'g', { xM: 5, yM: 10 }, UP_RAD);
  const lengthM = 'lengthM' in guide ? guide.lengthM : NaN;
  expect(places(rails(guide)[0]!.d)).toEqual([
    [5, 30 + lengthM / 2],
    [5, 30 - lengthM / 2],
  ]);
  for (const kind of ['cone', 'block', 'marker'] as const) {
    const [dot] = itemPaths(newItem(kind, 'd', { xM: 5, yM: 10 }, 0));
    const [left] = places(dot!.d);
    expect(left![1]).toBe(30);
    expect(5 - left![0]).toBeGreaterThan(0);
    expect(5 - left![0]).toBeLessThan(0.5);
  }
});

test('fences have their names, or all pieces their numbers', () => {
  const items = [fence('vertical'), newItem('pole', 'p', { xM: 3, yM: 3 }, 0)];
  const letters = texts([]).map(({ text }) => text);
  expect(texts(items).map(({ text }) => text)).toEqual(expect.arrayContaining([...letters, 'ash']));
  expect(texts(items).some(({ text }) => text === 'p')).toBe(false);
  const numbers = new Map([
    ['ash', 2],
    ['p', 1],
  ]);
  const numbered = texts(items, { ...UP, numbers }).filter(({ bold }) => bold);
  expect(numbered.map(({ text }) => text).sort()).toEqual(['1', '2']);
});

test('letters on the wall stand outside it, those on the centre line on the sand', () => {
  // FEI Dressage Rules, the arena of 20 × 40 m (from memory): A, C, and K E H, M B F on the long sides; D X G inside.
  const place = (letter: string) => texts([]).find(({ text }) => text === letter)!;
  expect(place('A')).toMatchObject({ x: 10, y: 41 });
  expect(place('C')).toMatchObject({ x: 10, y: -1 });
  expect(place('X')).toMatchObject({ x: 10, y: 20 });
  for (const letter of ['K', 'E', 'H']) expect(place(letter).x).toBe(-1);
  for (const letter of ['M', 'B', 'F']) expect(place(letter).x).toBe(21);
  expect(place('E').y).toBe(20);
  expect(place('K').y).toBe(34);
});

test('the paper has room for letters all round, and a scale bar below that is as long as it says', () => {
  const sheet = drawingSheet({ arena: ARENA }, UP);
  expect([sheet.x, sheet.widthM]).toEqual([-2.2, 24.4]);
  const bar = scaleBar({ arena: ARENA }, UP);
  expect(bar.lengthM).toBe(10);
  expect(bar.y).toBeGreaterThan(40);
  expect(bar.y).toBeLessThan(sheet.y + sheet.heightM);
  expect(texts([]).map(({ text }) => text)).toContain('10 m');
  expect(scaleBar({ arena: { widthM: 12, lengthM: 20, letters: 'none' } }, UP).lengthM).toBe(5);
  expect(groundShapes).toBeGreaterThan(10);
});
