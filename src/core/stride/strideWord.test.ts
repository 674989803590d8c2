import fc from 'fast-check';
import { STRIDE_WORDS, strideWord } from './strideWord';

const RANGE = { shortM: 0.75, normalM: 1, longM: 1.12 };

// Common practice, no source: the words and their bounds.
test.each([
  { q: 0.74, word: 'too tight' },
  { q: 0.75, word: 'short' },
  { q: 0.919, word: 'short' },
  { q: 0.92, word: 'quiet' },
  { q: 0.97, word: 'easy' },
  { q: 1.03, word: 'easy' },
  { q: 1.031, word: 'forward' },
  { q: 1.08, word: 'forward' },
  { q: 1.081, word: 'long' },
  { q: 1.12, word: 'long' },
  { q: 1.121, word: 'too far' },
])('q $q is $word', ({ q, word }) => expect(strideWord(q, RANGE)).toBe(word));

test('a horse that cannot shorten is too tight before it is short', () => {
  expect(strideWord(0.93, { shortM: 0.95, normalM: 1, longM: 1.1 })).toBe('too tight');
});

test('more ground for the same count never has a tighter word', () => {
  const q = fc.double({ min: 0, max: 2, noNaN: true });
  fc.assert(
    fc.property(q, q, (a, b) => {
      const [low, high] = a < b ? [a, b] : [b, a];
      const rank = (value: number) => STRIDE_WORDS.indexOf(strideWord(value, RANGE));
      expect(rank(high)).toBeGreaterThanOrEqual(rank(low));
    }),
  );
});

test('refuses what is no ratio', () => expect(() => strideWord(Number.NaN, RANGE)).toThrow(RangeError));

test('what is reckoned a hair off a bound is on it', () => {
  // 0.97 = 1 − 0.03 in binary is a hair under 0.97, and 1.08 as 1.2 × 0.9 a hair over.
  expect(strideWord(0.97 - 1e-15, RANGE)).toBe('easy');
  expect(strideWord(1.2 * 0.9, RANGE)).toBe('forward');
  expect(strideWord(1.03 + 1e-15, RANGE)).toBe('easy');
  expect(strideWord(0.97 - 1e-6, RANGE)).toBe('quiet');
});
