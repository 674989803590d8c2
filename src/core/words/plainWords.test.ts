import { hasWords, plainWords } from './plainWords';

test('words are compared small and without hyphens, each by itself, in any order', () => {
  expect(plainWords('Shoulder-In, A–C')).toBe('shoulder in, a c');
  const text = plainWords('Counter shoulder-in along the rail');
  expect(hasWords(text, 'RAIL counter')).toBe(true);
  expect(hasWords(text, 'shoulder-in')).toBe(true);
  expect(hasWords(text, 'rail renvers')).toBe(false);
  expect(hasWords(text, '')).toBe(true);
});
