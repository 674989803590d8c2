import { normalCdf } from './normalCdf';

// Standard tables of the normal distribution.
test.each([
  { z: 0, p: 0.5 },
  { z: 1, p: 0.8413447460685429 },
  { z: -1, p: 0.15865525393145707 },
  { z: 1.96, p: 0.9750021048517795 },
  { z: 3, p: 0.9986501019683699 },
  { z: -4, p: 3.167124183311986e-5 },
  { z: -6, p: 9.865876450376946e-10 },
])('Φ($z) = $p', ({ z, p }) => expect(Math.abs(normalCdf(z) / p - 1)).toBeLessThan(1e-9));

test('without a jump where the two ways of reckoning meet, and level at the ends', () => {
  expect(normalCdf(3 - 1e-9)).toBeCloseTo(normalCdf(3 + 1e-9), 9);
  expect(normalCdf(-100)).toBe(0);
  expect(normalCdf(100)).toBe(1);
  expect(() => normalCdf(Number.NaN)).toThrow(RangeError);
});
