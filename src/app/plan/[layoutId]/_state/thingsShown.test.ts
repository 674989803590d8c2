import { formatReading } from '@/core';
import { itemLabels, itemsOf, middleOf, nearestOther, orderNumbers, stridesWords, thingOf } from './thingsShown';
import { LINE, MAYFLY, shows } from './testShown';

const shown = shows()(LINE);
const { resolved, tracks } = shown;
const format = (lengthM: number) => formatReading(lengthM, 'm');
const item = (id: string) => resolved.layout.items.find(one => one.id === id)!;

test('an item that is of no exercise is moved by itself', () => {
  expect(thingOf(resolved, 'ash')).toBe('ash');
  expect(itemsOf(resolved, ['ash', 'elm']).map(({ id }) => id)).toEqual(['ash', 'elm']);
  const owned = {
    ...resolved,
    ownerOf: new Map([
      ['ash', 'grid'],
      ['elm', 'grid'],
    ]),
  };
  expect(itemsOf(owned, ['grid']).map(({ id }) => id)).toEqual(['ash', 'elm']);
  expect(itemsOf(owned, ['ash'])).toEqual([]);
});

test('the middle of what is selected lies between its items; of nothing there is none', () => {
  expect(middleOf(shown, ['ash', 'elm'])).toEqual({ xM: 10, yM: 23 });
  expect(middleOf(shown, [])).toBeNull();
});

test('an item is read out with the distance to it and how that rides', () => {
  const labels = itemLabels(resolved, tracks, MAYFLY.id, format);
  // 18 m from fence to fence are four strides of 3.6 m: a fence takes a half stride on each side (common practice, no source).
  expect(labels.get('birch')).toMatch(/18.* m from ash.*four.*for Mayfly$/);
  expect(labels.get('ash')).not.toContain(' from ');
  expect([...labels.keys()]).toEqual(resolved.layout.items.map(({ id }) => id));
});

test('the nearest other is one that is not left out', () => {
  const { items } = resolved.layout;
  expect(nearestOther(items, item('elm'), [])?.id).toBe('birch');
  expect(nearestOther(items, item('elm'), ['birch'])?.id).toBe('ash');
  expect(nearestOther([item('elm')], item('elm'), [])).toBeNull();
});

test('a fence that is ridden twice has both of its numbers', () => {
  const [track] = resolved.layout.tracks;
  if (track?.kind !== 'items') throw new Error('no line');
  const twice = {
    through: [...track.through, { item: 'ash', reversed: false }],
    legs: [...track.legs, track.legs[0]!],
  };
  expect(orderNumbers(twice, resolved.layout.items)).toEqual(
    new Map([
      ['ash', '1·4'],
      ['birch', '2'],
      ['elm', '3'],
    ]),
  );
});

test.each([
  { count: 0, zeroIs: 'bounce', words: 'bounce' },
  { count: 0, zeroIs: 'step', words: 'step' },
  { count: 1, zeroIs: 'bounce', words: 'one stride' },
  { count: 5, zeroIs: 'bounce', words: 'five strides' },
] as const)('$count is “$words”', ({ count, zeroIs, words }) => {
  expect(stridesWords(count, zeroIs)).toContain(words);
});
