import { howMany } from './howMany';

test.each([
  [0, 'pole', undefined, '0 poles'],
  [1, 'pole', undefined, '1 pole'],
  [2, 'pass', 'passes', '2 passes'],
  [1, 'pass', 'passes', '1 pass'],
  [1.5, 'minute', undefined, '1.5 minutes'],
])('%s %s', (number, one, many, words) => expect(howMany(number, one, many)).toBe(words));
