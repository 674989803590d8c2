import { metresBy } from './cautionRule';

it('says how far to the decimetre, and to the centimetre where that would read as the limit', () => {
  expect(metresBy(0.8, 1.2)).toBe('0.80 m');
  expect(metresBy(5.04, 6)).toBe('5.0 m');
  expect(metresBy(1.1999, 1.2)).toBe('1.19 m');
  expect(metresBy(1.2001, 1.2)).toBe('1.21 m');
  // Never on the other side of the limit.
  expect(metresBy(3.996, 4)).toBe('3.99 m');
});
