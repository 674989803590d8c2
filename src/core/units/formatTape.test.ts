import { formatTape } from './formatTape';
import { parseLength } from './parseLength';

// Worked by hand; feet by the yard and pound agreement of 1959 (1 in = 2.54 cm exactly).
test.each([
  { lengthM: 12.3449, unit: 'm' as const, text: '12.345 m' },
  { lengthM: 12.3424, unit: 'm' as const, text: '12.34 m' },
  { lengthM: 12.3476, unit: 'm' as const, text: '12.35 m' },
  { lengthM: 0, unit: 'm' as const, text: '0.00 m' },
  { lengthM: 0.0526, unit: 'cm' as const, text: '5.5 cm' },
  { lengthM: 1.3716, unit: 'ft' as const, text: '4 ft 6 in' },
  { lengthM: 1.3748, unit: 'ft' as const, text: '4 ft 6⅛ in' },
])('$lengthM m is $text on the tape', ({ lengthM, unit, text }) => {
  expect(formatTape(lengthM, unit)).toBe(text);
  const read = parseLength(text);
  expect(read.ok && Math.abs(read.lengthM - lengthM)).toBeLessThan(0.0026);
});
