import { stepsText } from './stepsText';

// Worked by hand: steps of 0.88 m, to the nearest half step.
test.each([
  { lengthM: 10, unit: 'm' as const, text: '11½ steps, back 12 cm' },
  { lengthM: 3.55, unit: 'm' as const, text: '4 steps and 3 cm' },
  { lengthM: 8.8, unit: 'm' as const, text: '10 steps' },
  { lengthM: 0.88, unit: 'm' as const, text: '1 step' },
  { lengthM: 0.1, unit: 'm' as const, text: '10 cm' },
  { lengthM: 0, unit: 'm' as const, text: '0 steps' },
  { lengthM: 3.5708, unit: 'ft' as const, text: '4 steps and 2 in' },
])('$lengthM m is $text', ({ lengthM, unit, text }) => expect(stepsText(lengthM, 0.88, unit)).toBe(text));
