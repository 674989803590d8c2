import { formatLength, formatReading } from './formatLength';

test.each([
  { lengthM: 1.37, unit: 'm' as const, text: '1.37 m' },
  { lengthM: 1.37, unit: 'cm' as const, text: '137 cm' },
  // Common practice, no source: the medium horse's trot step of 1.37 m is the trade's 4 ft 6 in.
  { lengthM: 1.3716, unit: 'ft' as const, text: '4 ft 6 in' },
  { lengthM: 3.6576, unit: 'ft' as const, text: '12 ft' },
  { lengthM: 0.0127, unit: 'ft' as const, text: '½ in' },
  { lengthM: 0, unit: 'ft' as const, text: '0 in' },
  { lengthM: 9.4488, unit: 'yd' as const, text: '10 yd 1 ft' },
  { lengthM: 1.6002, unit: 'hands' as const, text: '15.3 hh' },
  { lengthM: 6.16, unit: 'steps' as const, text: '7 steps' },
  { lengthM: 6.6, unit: 'steps' as const, text: '7½ steps' },
])('$lengthM m in $unit is $text', ({ lengthM, unit, text }) =>
  expect(formatLength(lengthM, unit, { stepLengthM: 0.88 })).toBe(text),
);

test('rounds up into the larger unit instead of writing twelve inches', () => {
  expect(formatLength(0.3047999, 'ft')).toBe('1 ft');
  expect(formatLength(0.91439, 'yd')).toBe('1 yd');
});

test('refuses what is no length', () => {
  expect(() => formatLength(Number.NaN, 'm')).toThrow(RangeError);
  expect(() => formatLength(-1, 'm')).toThrow(RangeError);
  expect(() => formatLength(1, 'steps')).toThrow(RangeError);
});

test('for reading, feet go to the half inch: a step of 1.37 m is the trade’s 4 ft 6 in (common practice, no source)', () => {
  expect(formatReading(1.37, 'ft')).toBe('4 ft 6 in');
  expect(formatLength(1.37, 'ft')).toBe('4 ft 5⅞ in');
  expect(formatReading(3.05, 'ft')).toBe('10 ft');
  expect(formatReading(9.32, 'yd')).toBe('10 yd 7 in');
  expect(formatReading(1.37, 'm')).toBe('1.37 m');
});
