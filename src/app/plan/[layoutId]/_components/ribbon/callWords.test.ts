import type { HorseReading } from '@/core';
import { LINE, shows } from '../../_state/testShown';
import { callWords, fullWords } from './callWords';

/** How a horse of 3.6 m a stride reads a leg of so much ground (common practice, no source: 3.6 m for each and one more). */
function reading(groundM: number, asked: number | null = null): HorseReading {
  const items = LINE.items.map(item => (item.id === 'birch' ? { ...item, at: { xM: 10, yM: 5 + groundM } } : item));
  const tracks = LINE.tracks.map(track =>
    'legs' in track ? { ...track, legs: [{ ...track.legs[0]!, asked }, track.legs[1]!] } : track,
  );
  const [line] = shows()({ ...LINE, items, tracks }).tracks;
  return line!.kind === 'items' ? line!.legs[0]!.readings[0]! : (null as never);
}

test('with room for them the words are said, with how far from easy', () => {
  expect(callWords(reading(18), 200)).toEqual({ words: 'easy four', step: 0 });
  expect(fullWords(reading(21.6))).toBe('easy five');
});

test('with less room the count is a figure, and with little it stands alone', () => {
  expect(callWords(reading(18), 76)).toEqual({ words: 'easy 4', step: 0 });
  expect(callWords(reading(18), 50)).toEqual({ words: '4', step: 0 });
});

test('an asked count is judged by itself', () => {
  // Five in 18 m want 3 m of a horse that has 3.6: tight.
  const five = callWords(reading(18, 5), 200);
  expect(five.words).toMatch(/ five$/);
  expect(five.step).toBeLessThan(0);
  // Three want 4.5 m: far.
  const three = callWords(reading(18, 3), 200);
  expect(three.words).toMatch(/ three$/);
  expect(three.step).toBeGreaterThan(0);
});

test('halfway between two counts both are named, in little room too', () => {
  const half = reading(19.8);
  expect(fullWords(half)).toMatch(/four|five/);
  const little = callWords(half, 40).words;
  expect(little).toMatch(/^(4–5|4|5)$/);
});
