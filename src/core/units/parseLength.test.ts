import fc from 'fast-check';
import { formatLength } from './formatLength';
import { LENGTH_UNITS, M_PER_FT, M_PER_HAND, M_PER_IN, M_PER_YD, type LengthUnit } from './lengthUnits';
import { parseLength } from './parseLength';

const read = (text: string, options = {}) => {
  const parsed = parseLength(text, options);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.reason}`);
  return parsed.lengthM;
};

// International yard and pound agreement, 1959: 1 yd = 0.9144 m exactly, so 1 ft = 0.3048 m, 1 in = 0.0254 m.
test.each([
  { text: '1.37', lengthM: 1.37 },
  { text: '1,37 m', lengthM: 1.37 },
  { text: '137cm', lengthM: 1.37 },
  { text: '1370 mm', lengthM: 1.37 },
  { text: `4'6"`, lengthM: 4.5 * 0.3048 },
  { text: '4’6”', lengthM: 4.5 * 0.3048 },
  { text: '4 ft 6', lengthM: 4.5 * 0.3048 },
  { text: '4ft 6½in', lengthM: 4 * 0.3048 + 6.5 * 0.0254 },
  { text: '4 FEET 6 1/2 inches', lengthM: 4 * 0.3048 + 6.5 * 0.0254 },
  { text: '10yd 1ft', lengthM: 10 * 0.9144 + 0.3048 },
  { text: '3 yd 1', lengthM: 3 * 0.9144 + 0.3048 },
  { text: '½ in', lengthM: 0.0127 },
  { text: '15.2hh', lengthM: 62 * 0.0254 },
  { text: '15 hands', lengthM: 60 * 0.0254 },
  { text: '15.2½ hh', lengthM: 62.5 * 0.0254 },
  { text: '1 m 37', lengthM: 1.37 },
  { text: '0', lengthM: 0 },
  { text: '5.', lengthM: 5 },
  { text: '5. m', lengthM: 5 },
  { text: '4-1/2 ft', lengthM: 4.5 * 0.3048 },
  { text: '4 - 1/2 ft', lengthM: 4.5 * 0.3048 },
  { text: '4-½ ft', lengthM: 4.5 * 0.3048 },
  { text: '2⅕ m', lengthM: 2.2 },
  { text: '⅗ m', lengthM: 0.6 },
  { text: '6 ft 11⅞', lengthM: 6 * 0.3048 + 11.875 * 0.0254 },
])('reads $text', ({ text, lengthM }) => expect(read(text)).toBeCloseTo(lengthM, 12));

test('a bare number is in the default unit', () => {
  expect(read('6', { defaultUnit: 'ft' })).toBeCloseTo(1.8288, 12);
  expect(read('15.2', { defaultUnit: 'hands' })).toBeCloseTo(1.5748, 12);
  expect(read('7', { defaultUnit: 'steps', stepLengthM: 0.9 })).toBeCloseTo(6.3, 12);
});

test('own steps need a step length', () => {
  expect(read('7 steps', { stepLengthM: 0.88 })).toBeCloseTo(6.16, 12);
  expect(read('7½ steps 10 cm', { stepLengthM: 0.88 })).toBeCloseTo(6.7, 12);
  expect(parseLength('7 steps')).toEqual({ ok: false, reason: expect.stringContaining('step length') });
  expect(() => parseLength('7 steps', { stepLengthM: 0 })).toThrow(RangeError);
});

test.each([
  { text: '', reason: 'Type a length' },
  { text: '-3 m', reason: 'negative' },
  { text: 'abc', reason: 'number is missing' },
  { text: 'm', reason: 'number is missing' },
  { text: '3 furlongs', reason: 'furlongs' },
  { text: '15.5hh', reason: 'inches, 0 to 3' },
  { text: '6 in 4 ft', reason: 'cannot follow' },
  { text: '4 6', reason: 'more than one way', defaultUnit: 'cm' as LengthUnit },
  { text: '1 000', reason: 'more than one way' },
  { text: '1 000 mm', reason: 'more than one way' },
  { text: '1.2.3', reason: 'more than one way' },
  { text: '6 ft 14', reason: 'a whole foot' },
  { text: '6 ft 12 in', reason: 'a whole foot' },
  { text: '2 yd 3', reason: 'a whole yard' },
  { text: '1 m 120', reason: 'a whole metre' },
  { text: '1/0 m', reason: 'divides by nothing' },
  { text: '1,000', reason: 'two ways' },
  { text: '1e9 m', reason: 'not a unit' },
  { text: '999999999', reason: 'longer than any arena' },
  { text: '3 m!', reason: 'not a length' },
  { text: 'NaN', reason: 'number is missing' },
  { text: 'Infinity', reason: 'number is missing' },
])('refuses “$text” with a reason', ({ text, reason, defaultUnit }) => {
  const parsed = parseLength(text, { defaultUnit });
  expect(parsed).toEqual({ ok: false, reason: expect.stringContaining(reason) });
});

describe('a value far from practice that is near it in another unit is asked about', () => {
  // Trot poles lie 0.95 to 1.5 m apart (common practice, no source): 4.5 is feet.
  const usual = { leastM: 0.8, mostM: 1.8 };
  test.each([
    { text: '4.5', defaultUnit: 'm', asks: '4 ft 6 in, or 4.50 m?' },
    { text: '137', defaultUnit: 'm', asks: '137 cm, or 137.00 m?' },
    { text: '1.37', defaultUnit: 'ft', asks: '1.37 m, or 1 ft 4½ in?' },
  ] as const)('$text in $defaultUnit', ({ text, defaultUnit, asks }) => {
    expect(parseLength(text, { defaultUnit, usual })).toEqual({ ok: false, reason: expect.stringContaining(asks) });
  });

  test('with its unit it is believed, and so is what is usual, or unusual in every unit', () => {
    expect(read('4.5 m', { usual })).toBe(4.5);
    expect(read('1.37', { usual })).toBe(1.37);
    expect(read('0.1', { usual })).toBe(0.1);
  });
});

/** Half of the finest mark each unit is written to. */
const HALF_MARK_M: Record<LengthUnit, number> = {
  m: 0.005,
  cm: 0.005,
  ft: M_PER_IN / 16,
  yd: M_PER_IN / 16,
  hands: M_PER_IN / 4,
  steps: 0.88 / 4,
};

test('what is written reads back as the same text and within half of the finest mark, in every unit', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 250, noNaN: true }), fc.constantFrom(...LENGTH_UNITS), (lengthM, unit) => {
      const text = formatLength(lengthM, unit, { stepLengthM: 0.88 });
      const again = read(text, { stepLengthM: 0.88 });
      expect(Math.abs(again - lengthM)).toBeLessThanOrEqual(HALF_MARK_M[unit] + 1e-9);
      expect(formatLength(again, unit, { stepLengthM: 0.88 })).toBe(text);
    }),
  );
});

test('a compound is the sum of its parts', () => {
  const count = fc.integer({ min: 0, max: 60 });
  fc.assert(
    fc.property(count, fc.integer({ min: 0, max: 2 }), fc.integer({ min: 0, max: 11 }), (yd, ft, inch) => {
      expect(read(`${yd}yd ${ft}ft ${inch}in`)).toBeCloseTo(yd * M_PER_YD + ft * M_PER_FT + inch * M_PER_IN, 9);
    }),
  );
});

test('any height in hands and inches is hands × 4 in + inches', () => {
  fc.assert(
    fc.property(fc.integer({ min: 8, max: 19 }), fc.integer({ min: 0, max: 3 }), (hands, inches) => {
      expect(read(`${hands}.${inches}hh`)).toBeCloseTo(hands * M_PER_HAND + inches * M_PER_IN, 12);
    }),
  );
});

test('no text at all makes it throw or answer with a number that is none', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 30 }), text => {
      const parsed = parseLength(text);
      if (parsed.ok) expect(parsed.lengthM).toBeGreaterThanOrEqual(0);
      else expect(parsed.reason.length).toBeGreaterThan(10);
    }),
    { numRuns: 800 },
  );
});
