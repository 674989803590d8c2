import fc from 'fast-check';
import { stepsAndRemainder } from './stepsAndRemainder';

test('ten metres in steps of 0.88 m: eleven and a half, and 12 cm back', () => {
  const { steps, remainderM } = stepsAndRemainder(10, 0.88);
  expect(steps).toBe(11.5);
  expect(remainderM).toBeCloseTo(-0.12, 12);
});

test('steps and remainder always add up, with at most a quarter step over', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 200, noNaN: true }),
      fc.double({ min: 0.3, max: 1.5, noNaN: true }),
      (lengthM, stepM) => {
        const { steps, remainderM } = stepsAndRemainder(lengthM, stepM);
        expect(steps * stepM + remainderM).toBeCloseTo(lengthM, 9);
        expect(Math.abs(remainderM)).toBeLessThanOrEqual(stepM / 4 + 1e-9);
        expect(Number.isInteger(steps * 2)).toBe(true);
      },
    ),
  );
});

test('refuses a step of no length', () => expect(() => stepsAndRemainder(10, 0)).toThrow(RangeError));
