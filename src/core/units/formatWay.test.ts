import { formatWay } from './formatWay';

test.each([
  [0, 'm', '0 m'],
  [47.6, 'm', '48 m'],
  [617.64, 'cm', '620 m'],
  [99.4, 'm', '99 m'],
  [1243, 'm', '1,240 m'],
  // 617.64 m are 2026.4 ft and 675.5 yd.
  [617.64, 'ft', '2,030 ft'],
  [617.64, 'yd', '680 yd'],
] as const)('a way of %d m, read in %s, is %s', (lengthM, unit, text) => expect(formatWay(lengthM, unit)).toBe(text));

test.each([-1, NaN, Infinity])('%p is no way', lengthM => expect(() => formatWay(lengthM, 'm')).toThrow(RangeError));
