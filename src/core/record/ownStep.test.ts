import { seededNormal, seededRandom } from '../statistics/seededRandom';
import { ownStep, walkedError } from './ownStep';

test('metres over steps, all walks together', () => {
  // 18 m in 20 and in 21 steps: 36 ÷ 41.
  const step = ownStep([
    { lengthM: 18, steps: 20 },
    { lengthM: 18, steps: 21 },
  ]);
  expect(step.stepM).toBeCloseTo(36 / 41, 12);
  expect(step.walks).toBe(2);
});

test('one walk is as sure as practice has it, worked by hand', () => {
  // 2 % from walk to walk, known as from four: t = 2.776; a quarter step either way of 20: 1.96 · 0.25 ÷ √3 ÷ 20 = 1.41 %.
  // √(0.05553² + 0.01414²) = 5.73 %.
  const { stepM, lowM, highM } = ownStep([{ lengthM: 18, steps: 20 }]);
  expect((highM - stepM) / stepM).toBeCloseTo(0.0573, 4);
  expect(stepM - lowM).toBeCloseTo(highM - stepM, 12);
});

test('“over 18 m you would be 35 cm long”', () => {
  // Steps of 0.9 m thought, 0.9175 m walked: 20 steps are 18.35 m.
  expect(walkedError(18, 0.9, 0.9175)).toBeCloseTo(0.35, 9);
  expect(walkedError(18, 0.9, 0.88)).toBeCloseTo(-0.4, 9);
});

test.each([2, 3, 5])('the interval of %i walks holds the true step about 95 times in 100 (simulated)', k => {
  const random = seededRandom(7 + k);
  const rounds = 3000;
  let held = 0;
  for (let round = 0; round < rounds; round += 1) {
    const trueM = 0.7 + 0.3 * random();
    const walks = Array.from({ length: k }, () => {
      const today = trueM * (1 + 0.015 * seededNormal(random));
      return { lengthM: 20, steps: Math.round((20 / today) * 2) / 2 };
    });
    const { lowM, highM } = ownStep(walks);
    if (trueM >= lowM && trueM <= highM) held += 1;
  }
  expect(held / rounds).toBeGreaterThan(0.93);
});

test('impossible walks are refused', () => {
  expect(() => ownStep([])).toThrow(RangeError);
  expect(() => ownStep([{ lengthM: 18, steps: 0 }])).toThrow(RangeError);
  expect(() => ownStep([{ lengthM: Number.NaN, steps: 3 }])).toThrow(RangeError);
});
