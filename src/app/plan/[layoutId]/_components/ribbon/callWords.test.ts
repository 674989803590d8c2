import type { HorseReading } from '@/core';
import { LINE, shows } from '../../_state/testShown';
import { callLines, fullWords } from './callWords';

/** How a horse of 3.6 m a stride reads a leg of so much ground (common practice, no source: 3.6 m for each and one more). */
function reading(groundM: number, asked: number | null = null): HorseReading {
  const items = LINE.items.map(item => (item.id === 'birch' ? { ...item, at: { xM: 10, yM: 5 + groundM } } : item));
  const tracks = LINE.tracks.map(track =>
    'legs' in track ? { ...track, legs: [{ ...track.legs[0]!, asked }, track.legs[1]!] } : track,
  );
  const [line] = shows()({ ...LINE, items, tracks }).tracks;
  return line!.kind === 'items' ? line!.legs[0]!.readings[0]! : (null as never);
}

const chance = (strides: number, share: number) => ({ strides, chance: share, zeroIs: 'bounce' as const });

test('an easy count is said alone, with how likely it is', () => {
  expect(callLines(reading(18), [chance(4, 0.91), chance(5, 0.06)])).toEqual([
    { words: 'easy four', step: 0, chance: 0.91 },
  ]);
  expect(fullWords(reading(21.6))).toBe('easy five');
});

test('a distance with two options says both, each on its line with its mark', () => {
  // 19.1 m of 3.6 m a stride: four want 3.82 m (1.06, forward), five 3.18 m (0.88, short).
  const lines = callLines(reading(19.1), [chance(4, 0.6), chance(5, 0.4)]);
  expect(lines).toEqual([
    { words: 'forward four', step: expect.any(Number), chance: 0.6 },
    { words: 'or short five', step: expect.any(Number), chance: 0.4 },
  ]);
  expect(lines[0]!.step).toBeGreaterThan(0);
  expect(lines[1]!.step).toBeLessThan(0);
});

test('an asked count is judged by itself, and the one that would ride better stands under it', () => {
  // Five in 18 m want 3 m of a horse that has 3.6 m: short. Four are easy.
  const [five, else4] = callLines(reading(18, 5), []);
  expect(five!.words).toMatch(/ five$/);
  expect(five!.step).toBeLessThan(0);
  expect(else4).toEqual({ words: 'else easy four', step: 0, chance: null });
  // Three want 4.5 m: too far.
  const [three] = callLines(reading(18, 3), []);
  expect(three!.words).toBe('too far three');
  expect(callLines(reading(18, 4), [])).toHaveLength(1);
});

test('halfway between two counts both are named, and what cannot be ridden says so', () => {
  const half = { ...reading(19.8), call: 'between four and five' };
  expect(callLines(half, []).map(({ words }) => words)).toEqual(['between four', 'and five']);
  const turn = { ...reading(18), cannot: { radiusM: 2, leastM: 5 } } as HorseReading;
  expect(callLines(turn, [])).toEqual([{ words: 'cannot be ridden', step: null, chance: null }]);
  expect(callLines({ ...reading(18), call: 'not rated', options: [] }, [])).toEqual([]);
});
