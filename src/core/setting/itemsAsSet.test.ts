import type { Layout } from '../layout/layout';
import { DEFAULT_LEG } from '../layout/layout';
import { newItem } from '../plan/newItem';
import { itemsAsSet, outOfPlace } from './itemsAsSet';
import { settingSheet } from './settingSheet';

const UP = Math.PI / 2;
const vertical = (id: string, yM: number) => newItem('vertical', id, { xM: 10, yM }, UP);
const through = ['ash', 'birch', 'elm'].map(item => ({ item, reversed: false }));

/** Three verticals up the centre line, 18 m apart. */
const LAYOUT: Layout = {
  ...{ name: 'A line', arena: { widthM: 20, lengthM: 60, letters: '20x60' }, fall: null, school: 'whole-stride' },
  ...{ horses: [], kit: null, items: [vertical('ash', 5), vertical('birch', 23), vertical('elm', 41)] },
  tracks: [
    {
      ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1, through },
      legs: [DEFAULT_LEG, DEFAULT_LEG],
    },
  ],
};
const SHEET = settingSheet(LAYOUT, { measureBy: 'walls', from: { xM: 10, yM: 0 } });
const NOTHING = new Map<string, number>();
const at = (items: Layout['items'], id: string) => items.find(item => item.id === id)!.at;

test('nothing measured, everything stands as planned', () => {
  const asSet = itemsAsSet(LAYOUT, SHEET, { measures: NOTHING, legs: [] });
  expect(asSet).toEqual({ ok: true, items: LAYOUT.items });
});

test('a distance that was taped moves its second fence along the line', () => {
  const asSet = itemsAsSet(LAYOUT, SHEET, { measures: NOTHING, legs: [{ track: 'line', leg: 0, groundM: 17.4 }] });
  if (!asSet.ok) throw new Error('it can stand like that');
  expect(at(asSet.items, 'birch').yM).toBeCloseTo(22.4, 6);
  expect(at(asSet.items, 'birch').xM).toBeCloseTo(10, 6);
  // The third stands where it stood: only its distance is another.
  expect(at(asSet.items, 'elm').yM).toBe(41);
});

test('two distances taped one after the other are measured from where the fences stand', () => {
  const legs = [
    { track: 'line', leg: 0, groundM: 18.3 },
    { track: 'line', leg: 1, groundM: 18.3 },
  ];
  const asSet = itemsAsSet(LAYOUT, SHEET, { measures: NOTHING, legs });
  if (!asSet.ok) throw new Error('it can stand like that');
  expect(at(asSet.items, 'birch').yM).toBeCloseTo(23.3, 6);
  expect(at(asSet.items, 'elm').yM).toBeCloseTo(41.6, 6);
});

test('lengths that are none, and legs that are not there, are refused', () => {
  const leg = (changes: object) => ({ measures: NOTHING, legs: [{ track: 'line', leg: 0, groundM: 18, ...changes }] });
  expect(() => itemsAsSet(LAYOUT, SHEET, leg({ groundM: -1 }))).toThrow(RangeError);
  expect(() => itemsAsSet(LAYOUT, SHEET, leg({ groundM: NaN }))).toThrow(RangeError);
  expect(() => itemsAsSet(LAYOUT, SHEET, leg({ leg: 2 }))).toThrow(/no leg 2/);
  expect(() => itemsAsSet(LAYOUT, SHEET, leg({ track: 'other' }))).toThrow(/other/);
});

test('what is out of place is told the farthest first, with the way back as it is ridden', () => {
  const moved = LAYOUT.items.map(item => {
    if (item.id === 'ash') return { ...item, at: { xM: 10.3, yM: 5.4 } };
    if (item.id === 'elm') return { ...item, at: { xM: 10, yM: 41.2 }, headingRad: UP + 0.1 };
    return item;
  });
  const [first, second, ...others] = outOfPlace(LAYOUT.items, moved);
  expect(others).toEqual([]);
  // 3-4-5: half a metre off, back and to the left.
  expect(first).toMatchObject({ item: 'ash', offM: expect.closeTo(0.5, 9) });
  expect(first!.back.aheadM).toBeCloseTo(-0.4, 9);
  expect(first!.back.leftM).toBeCloseTo(0.3, 9);
  expect(second).toMatchObject({ item: 'elm', offM: expect.closeTo(0.2, 9) });
  expect(second!.turnedRad).toBeCloseTo(-0.1, 9);
});

test('a few millimetres are not worth carrying for, nor what is not there any more', () => {
  const nudged = LAYOUT.items.map(item => ({ ...item, at: { ...item.at, xM: item.at.xM + 0.004 } }));
  expect(outOfPlace(LAYOUT.items, nudged)).toEqual([]);
  expect(outOfPlace(LAYOUT.items, LAYOUT.items.slice(1))).toEqual([]);
});
