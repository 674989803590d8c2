import { offWords } from './placingTolerance';

const cm = (lengthM: number) => `${Math.round(lengthM * 100)} cm`;

test('how far off matters is a length, and never nothing', () => {
  expect(offWords({ offM: 0.12 }, cm)).toBe('12 cm');
  expect(offWords({ offM: 0.006 }, cm)).toBe('1 cm');
  expect(offWords({ offM: 0.0005 }, cm)).toBe('even a little');
});
