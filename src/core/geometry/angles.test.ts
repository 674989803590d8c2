import fc from 'fast-check';
import { facingFromHeading, headingFromFacing, normaliseRad } from './angles';

test.each([
  { facingDeg: 0, headingRad: Math.PI / 2, source: 'towards C is +y' },
  { facingDeg: 90, headingRad: 0, source: 'clockwise from C is towards the right long side, +x' },
  { facingDeg: 180, headingRad: (3 * Math.PI) / 2, source: 'towards A' },
  { facingDeg: 270, headingRad: Math.PI, source: 'towards the left long side' },
])('$facingDeg° is heading $headingRad: $source', ({ facingDeg, headingRad }) => {
  expect(headingFromFacing(facingDeg)).toBeCloseTo(headingRad, 12);
  expect(facingFromHeading(headingRad)).toBeCloseTo(facingDeg, 12);
});

test('there and back again, within a turn', () => {
  fc.assert(
    fc.property(fc.double({ min: -1000, max: 1000, noNaN: true }), facingDeg => {
      const back = facingFromHeading(headingFromFacing(facingDeg));
      expect(back).toBeGreaterThanOrEqual(0);
      expect(back).toBeLessThan(360);
      const apart = Math.abs(back - (((facingDeg % 360) + 360) % 360));
      expect(Math.min(apart, 360 - apart)).toBeLessThan(1e-9);
    }),
  );
});

test('a tiny negative direction does not become a whole turn', () => expect(normaliseRad(-1e-20)).toBe(0));

test('refuses what is no direction', () => {
  expect(() => normaliseRad(Number.NaN)).toThrow(RangeError);
  expect(() => facingFromHeading(Infinity)).toThrow(RangeError);
});
