import type { Caution } from '@/core';
import { cautionSpots } from './cautionSpots';
import { LINE, shows } from './testShown';

const caution = (items: string[], part: number | null, level: Caution['level'] = 'warn'): Caution => ({
  ...{ code: 'wall-near', level, items, text: '', mend: '' },
  place: { track: part === null ? null : 'line', part },
});
const spots = (...cautions: Caution[]) => {
  const { resolved, tracks } = shows()(LINE);
  return cautionSpots(cautions, resolved, tracks);
};

test('what is about a leg is marked in its middle, what is about a fence at the fence', () => {
  // Fences at 5, 23 and 41 m up the centre line.
  expect(spots(caution(['ash', 'birch'], 0), caution(['elm'], 1))).toEqual([
    { key: 'line 0', at: { xM: 10, yM: expect.closeTo(14, 6) }, level: 'warn', cautions: [0] },
    { key: 'elm', at: { xM: 10, yM: 41 }, level: 'warn', cautions: [1] },
  ]);
});

test('several in one place are one mark, as bad as the worst; what is about no place has none', () => {
  expect(spots(caution(['ash'], null, 'stop'), caution([], null), caution(['ash'], null))).toEqual([
    { key: 'ash', at: { xM: 10, yM: 5 }, level: 'stop', cautions: [0, 2] },
  ]);
});
