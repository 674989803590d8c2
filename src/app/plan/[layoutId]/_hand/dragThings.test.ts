import { lockThings } from '@/core';
import { dragThings, snapHeading, type DragSetting } from './dragThings';
import { ARENA, LINE, MAYFLY, shows } from '../_state/testShown';
import { itemLabels, itemsOf, middleOf, nearestOther, orderNumbers, stridesWords } from '../_state/thingsShown';
import { arrowWay, nudgeM, PLAN_KEYS } from '../_state/planKeys';

const SETTING: DragSetting = { arena: ARENA, horse: MAYFLY, reachM: 0.4, free: false };

function dragged(id: string, by: { xM: number; yM: number }, setting: Partial<DragSetting> = {}, plan = LINE) {
  const base = shows()(plan);
  const grabbed = base.resolved.layout.items.find(item => item.id === id)!;
  const result = dragThings(base, [id], grabbed, by, { ...SETTING, ...setting });
  return { ...result, at: result.plan.items.find(item => item.id === id)!.at };
}

// Common practice, no source: five strides of 3.6 m and half a stride at either end are 21.6 m.
test('a fence near a whole count is drawn to it, and says which', () => {
  const { at, words } = dragged('elm', { xM: 0, yM: 3.4 });
  expect(at).toEqual({ xM: 10, yM: expect.closeTo(23 + 21.6, 6) });
  expect(words).toBe('easy five for Mayfly');
});

test('between two counts it stays where the hand is, and so it does for a hand that wants it free', () => {
  const between = dragged('elm', { xM: 0, yM: 1.8 });
  expect(between.words).toBeNull();
  expect(between.at.yM).toBeCloseTo(42.8, 6);
  const free = dragged('elm', { xM: 0.1, yM: 3.4 }, { free: true });
  expect(free).toMatchObject({ words: null, guides: [] });
  expect(free.at).toEqual({ xM: expect.closeTo(10.1, 9), yM: expect.closeTo(44.4, 9) });
});

test('a pole is drawn to the lines of the arena, and the line is told', () => {
  const { at, guides } = dragged('pole 1', { xM: 6.9, yM: 11.2 });
  expect(at.xM).toBe(10);
  expect(guides.map(({ words }) => words)).toContain('centre line');
  // Out of reach of every line it goes where the hand goes.
  const alone = dragged('pole 1', { xM: 4.2, yM: 10.1 });
  expect(alone.guides).toEqual([]);
  expect(alone.at).toEqual({ xM: expect.closeTo(7.2, 9), yM: expect.closeTo(13.1, 9) });
});

test('a count that draws a fence off a line does not have it said to be on the line', () => {
  // Across to the quarter line 5 m from the left side: a leg at a slant, drawn along itself.
  const places = Array.from({ length: 30 }, (_, step) => dragged('elm', { xM: -5.05, yM: -3 + step * 0.2 }));
  const counted = places.filter(({ words }) => words !== null);
  const saysLine = ({ guides }: (typeof places)[number]) => guides.some(({ words }) => words === 'left quarter line');
  const isOnLine = ({ at }: (typeof places)[number]) => Math.abs(at.xM - 5) <= 0.005;
  expect(counted.some(place => !isOnLine(place))).toBe(true);
  counted.forEach(place => expect(saysLine(place)).toBe(isOnLine(place)));
  expect(places.some(saysLine)).toBe(true);
});

test('what is locked is not moved, whatever the hand does', () => {
  const { at, words } = dragged('elm', { xM: 0, yM: 3.4 }, {}, lockThings(LINE, ['elm'], true));
  expect(at).toEqual({ xM: 10, yM: 41 });
  expect(words).toBeNull();
});

test('several things keep their distance: no count draws them', () => {
  const base = shows()(LINE);
  const elm = base.resolved.layout.items.find(({ id }) => id === 'elm')!;
  const { plan, words } = dragThings(base, ['birch', 'elm'], elm, { xM: 0, yM: 3.4 }, SETTING);
  const yM = (id: string) => plan.items.find(item => item.id === id)!.at.yM;
  expect(words).toBeNull();
  expect(yM('elm') - yM('birch')).toBeCloseTo(18, 9);
});

test('a heading comes to a quarter turn when it is near, and to whole degrees else', () => {
  const degrees = (value: number) => (value * Math.PI) / 180;
  expect(snapHeading(degrees(87), false)).toBeCloseTo(degrees(90), 12);
  expect(snapHeading(degrees(-3.9), false)).toBeCloseTo(0, 12);
  expect(snapHeading(degrees(52.4), false)).toBeCloseTo(degrees(52), 12);
  expect(snapHeading(degrees(52.4), true)).toBe(degrees(52.4));
});

test('an item is named with what it is, how far it is from the one before and how it rides', () => {
  const { resolved, tracks } = shows()(LINE);
  const labels = itemLabels(resolved, tracks, MAYFLY.id, lengthM => `${lengthM.toFixed(1)} m`);
  expect(labels.get('birch')).toContain(
    'vertical 2 birch, 0.6 m high, 18.0 m from ash (fence 1), easy four for Mayfly',
  );
  expect(labels.get('ash')).not.toContain('from');
  // Nobody called it anything, and nothing goes over it: it has a letter.
  expect(labels.get('pole 1')).toBe('pole A');
});

test('what stands nearest, what is in the middle, and in which order', () => {
  const { resolved, ...shown } = shows()(LINE);
  const { items } = resolved.layout;
  expect(nearestOther(items, items[0]!, [])?.id).toBe('pole 1');
  expect(nearestOther(items, items[0]!, ['pole 1'])?.id).toBe('birch');
  expect(nearestOther([items[0]!], items[0]!, [])).toBeNull();
  expect(itemsOf(resolved, ['elm', 'ash']).map(({ id }) => id)).toEqual(['ash', 'elm']);
  expect(middleOf({ ...shown, resolved }, ['ash', 'elm'])).toEqual({ xM: 10, yM: 23 });
  expect(middleOf({ ...shown, resolved }, ['nobody'])).toBeNull();
  const through = ['ash', 'birch', 'ash'].map(item => ({ item, reversed: false }));
  expect(orderNumbers({ through, legs: [] }, items)).toEqual(
    new Map([
      ['ash', '1·3'],
      ['birch', '2'],
    ]),
  );
  expect(stridesWords(1)).toBe('one stride');
  expect(stridesWords(5)).toBe('five strides');
  expect(stridesWords(0)).toBe('bounce');
  expect(stridesWords(0, 'step')).toBe('single step');
});

test('keys move by a quarter of a metre, by one, or by a centimetre', () => {
  expect(nudgeM({ shiftKey: false, altKey: false })).toBe(0.25);
  expect(nudgeM({ shiftKey: true, altKey: false })).toBe(1);
  expect(nudgeM({ shiftKey: false, altKey: true })).toBe(0.01);
  expect(arrowWay('ArrowUp')).toEqual({ x: 0, y: -1 });
  expect(arrowWay('x')).toBeNull();
  // Every key is told of once.
  const keys = PLAN_KEYS.flatMap(group => group.keys.map(key => key.keys));
  expect(new Set(keys).size).toBe(keys.length);
});
