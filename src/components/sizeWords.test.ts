import { sizeWords } from './sizeWords';

test.each([
  [0, '0 bytes'],
  [1023, '1023 bytes'],
  [1024, '1 kB'],
  [350_000, '342 kB'],
  [5_242_880, '5.0 MB'],
])('%i is %s', (bytes, words) => expect(sizeWords(bytes)).toBe(words));
