import type { RideWay } from '@/core';
import { turnWords, wayWords } from './wayWords';

const way = (rein: RideWay['rein'], direction: RideWay['direction']): RideWay => ({ rein, direction });

test.each([
  { way: way('left', 'as-drawn'), words: 'Left rein' },
  { way: way('right', 'as-drawn'), words: 'Right rein' },
  { way: way('right', 'other-way'), words: 'Right rein, the other way round' },
  { way: way('left', 'mirrored'), words: 'Left rein, its mirror image' },
  { way: way(null, 'as-drawn'), words: 'As drawn' },
  { way: way(null, 'other-way'), words: 'The other way round' },
])('$words', ({ way: ridden, words }) => {
  expect(wayWords(ridden)).toBe(words);
});

test('what is ridden as it is drawn needs no word', () => {
  expect(turnWords(way('left', 'as-drawn'))).toBe('');
});
