import fc from 'fast-check';
import type { Fence } from '../items/item';
import type { Pole } from '../items/pole';
import type { DistanceCase } from './distanceRule';
import { chanceOfCount, groundForCountM, readCount, readDistance, type TestedStride } from './readDistance';
import { STRIDE_WORDS } from './strideWord';

const FT = 0.3048;
const YD = 0.9144;

const fence = (heightM = 1): Fence => ({
  kind: 'fence',
  id: `f${heightM}`,
  name: null,
  form: 'vertical',
  at: { xM: 0, yM: 0 },
  headingRad: 0,
  widthM: 3.5,
  heightM,
  spreadM: 0,
  ridden: 'both-ways',
  groundLineBeforeM: null,
  sideHeightM: null,
  corner: null,
  filler: false,
});
const pole: Pole = {
  kind: 'pole',
  id: 'p',
  name: null,
  at: { xM: 0, yM: 0 },
  headingRad: 0,
  lengthM: 3,
  raised: { leftM: 0, rightM: 0 },
};
const course = (school: DistanceCase['school'], heightM = 1): DistanceCase => ({
  school,
  setting: 'course',
  approach: 'canter',
  from: fence(heightM),
  to: fence(heightM),
});
const grid = (
  from: DistanceCase['from'],
  to: DistanceCase['to'],
  approach: DistanceCase['approach'] = 'canter',
): DistanceCase => ({
  school: 'whole-stride',
  setting: 'grid',
  approach,
  from,
  to,
});
const poles: DistanceCase = { school: 'two-metre', setting: 'poles', approach: 'canter', from: pole, to: pole };

/** Common practice, no source: short −15 %, long +12 % between fences. */
const stride = (normalM: number): TestedStride => ({ shortM: normalM * 0.85, normalM, longM: normalM * 1.12 });
const TWELVE_FT = stride(12 * FT);

// The twelve-foot rule (common practice, no source): 24, 36, 48, 60, 72 ft for one to five strides.
test.each([1, 2, 3, 4, 5].map(strides => ({ strides, feet: 12 * (strides + 1) })))(
  'whole-stride school: $feet ft is easy $strides for a twelve-foot horse',
  ({ strides, feet }) => {
    const reading = readDistance(feet * FT, course('whole-stride'), TWELVE_FT);
    expect(reading.evenCount).toBeCloseTo(strides, 9);
    expect(reading.options.map(option => option.strides)).toEqual([strides - 1, strides, strides + 1]);
    expect(reading.call).toMatch(/^easy (one|two|three|four|five)$/);
    expect(groundForCountM(strides, course('whole-stride'), 12 * FT)).toBeCloseTo(feet * FT, 9);
  },
);

// The metric table (common practice, no source): 7.5, 11.0, 14.5, 18.0, 21.5 m for one to five, at 3.5 m and 1 m high.
test.each([
  { strides: 1, metres: 7.5 },
  { strides: 2, metres: 11 },
  { strides: 3, metres: 14.5 },
  { strides: 4, metres: 18 },
  { strides: 5, metres: 21.5 },
])('two-metre school: $metres m is even for $strides', ({ strides, metres }) => {
  expect(readCount(metres, strides, course('two-metre'), stride(3.5))?.q).toBeCloseTo(1, 9);
  expect(groundForCountM(strides, course('two-metre'), 3.5)).toBeCloseTo(metres, 9);
});

test('combinations of competition, 7 to 12 m (FEI Jumping Rules, Art. 212, from memory), are one or two strides', () => {
  const at = (metres: number) =>
    readDistance(metres, course('two-metre', 1.2), stride(3.6)).options.map(o => o.strides);
  expect(at(7.6)).toContain(1);
  expect(at(10.8)).toContain(2);
});

test('metric course practice, one stride 7.0 to 8.0 m and two 10.0 to 11.0 m: easy for some horse from 3.2 to 3.8 m', () => {
  for (const { metres, strides } of [
    { metres: 7, strides: 1 },
    { metres: 8, strides: 1 },
    { metres: 10, strides: 2 },
    { metres: 11, strides: 2 },
  ]) {
    const words = [3.2, 3.3, 3.4, 3.5, 3.6, 3.7, 3.8].map(
      normalM => readCount(metres, strides, course('two-metre'), stride(normalM))!.word,
    );
    expect(words).toContain('easy');
  }
});

test('a distance that needs 1.06 in four is 0.88 in five: “forward four or short five” (common practice, no source)', () => {
  // Five needed strides of ground at 1.06: 5 × 1.06 × 12 ft.
  const reading = readDistance(5 * 1.06 * 12 * FT, course('whole-stride'), TWELVE_FT);
  expect(reading.options.map(({ strides, q }) => [strides, Math.round(q * 100) / 100])).toEqual([
    [4, 1.06],
    [5, 0.88],
  ]);
  expect(reading.call).toBe('forward four or short five');
});

test('where neither count is quiet, easy or forward, it lies between', () => {
  // q = 1.10 in one, 0.733 in two.
  expect(readDistance(2 * 1.1 * 12 * FT, course('whole-stride'), TWELVE_FT).call).toBe('between one and two');
});

test('a bounce: one stride of ground on a course, five sixths in a grid, landing + take-off in the two-metre school', () => {
  expect(readDistance(12 * FT, course('whole-stride'), TWELVE_FT).call).toBe('easy bounce');
  expect(readDistance(10 * FT, grid(fence(), fence()), TWELVE_FT).call).toBe('easy bounce');
  expect(readCount(4, 0, course('two-metre'), stride(3.5))?.q).toBeCloseTo(1, 9);
});

// The full grid (common practice, no source): pole, 3 yd, cross, 3 yd 1 ft, cross, 3 yd 1 ft, cross, 6 yd, vertical, 6 yd …
test.each([
  { name: 'placing pole', yards: 3, from: pole, to: fence(0.5), call: 'easy bounce' },
  { name: 'bounce', yards: 10 / 3, from: fence(0.5), to: fence(0.5), call: 'easy bounce' },
  { name: 'one stride', yards: 6, from: fence(0.9), to: fence(0.9), call: 'easy one' },
  { name: 'two strides', yards: 10, from: fence(0.9), to: fence(0.9), call: 'easy two' },
])('the full grid: $name at $yards yd is $call for a twelve-foot horse', ({ yards, from, to, call }) => {
  const reading = readDistance(yards * YD, grid(from, to), TWELVE_FT);
  expect(reading.call).toBe(call);
  expect(Math.min(...reading.options.map(({ q }) => Math.abs(q - 1)))).toBeLessThan(1e-9);
});

test('from trot the placing pole stands nearer, and a pole behind a fence is not rated', () => {
  expect(readCount(0.7 * 3.6, 0, grid(pole, fence(), 'trot'), stride(3.6))?.q).toBeCloseTo(1, 9);
  expect(readCount(3, 0, grid(fence(), pole), TWELVE_FT)).toBeNull();
});

test('a trot approach makes a grid of a course distance', () => {
  const trotted: DistanceCase = { ...course('two-metre'), approach: 'trot' };
  expect(groundForCountM(1, trotted, 12 * FT)).toBeCloseTo(18 * FT, 9);
});

test('as poles, trotted, 18 ft is four steps of 4.5 ft (common practice, no source)', () => {
  // Four steps carry over the ground: three land between the two poles.
  const reading = readDistance(18 * FT, poles, stride(4.5 * FT));
  expect(reading.evenCount).toBeCloseTo(3, 9);
  expect(readDistance(4.5 * FT, poles, stride(4.5 * FT)).call).toBe('easy single step');
});

test('18 ft on the bend is even for a twelve-foot horse in a grid, 20 ft is 1.11 (common practice, no source)', () => {
  expect(readCount(18 * FT, 1, grid(fence(), fence()), TWELVE_FT)?.q).toBeCloseTo(1, 9);
  expect(readCount(20 * FT, 1, grid(fence(), fence()), TWELVE_FT)?.q).toBeCloseTo(1.11, 2);
});

const anyCase = fc.constantFrom(
  course('whole-stride'),
  course('two-metre'),
  grid(fence(), fence()),
  grid(pole, fence()),
  poles,
);
const metres = fc.double({ min: 0, max: 60, noNaN: true });

test('more ground never asks for a shorter stride, nor earns a tighter word', () => {
  fc.assert(
    fc.property(anyCase, fc.integer({ min: 0, max: 8 }), metres, metres, (distance, strides, a, b) => {
      const less = readCount(Math.min(a, b), strides, distance, TWELVE_FT)!;
      const more = readCount(Math.max(a, b), strides, distance, TWELVE_FT)!;
      expect(more.q).toBeGreaterThanOrEqual(less.q);
      expect(STRIDE_WORDS.indexOf(more.word)).toBeGreaterThanOrEqual(STRIDE_WORDS.indexOf(less.word));
    }),
  );
});

test('the ground of a count is even for it, in every school and setting', () => {
  fc.assert(
    fc.property(
      anyCase,
      fc.integer({ min: 0, max: 12 }),
      fc.double({ min: 1, max: 5, noNaN: true }),
      (distance, strides, normalM) => {
        const groundM = groundForCountM(strides, distance, normalM)!;
        expect(readCount(groundM, strides, distance, stride(normalM))?.q).toBeCloseTo(1, 9);
      },
    ),
  );
});

test('the chances of all counts add up to one, and the even count is the likeliest', () => {
  fc.assert(
    fc.property(anyCase, fc.integer({ min: 1, max: 6 }), (distance, strides) => {
      const groundM = groundForCountM(strides, distance, TWELVE_FT.normalM)!;
      const chances = Array.from({ length: 40 }, (_, count) => chanceOfCount(groundM, count, distance, TWELVE_FT));
      expect(Math.max(...chances)).toBe(chances[strides]);
      expect(chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9);
    }),
  );
});

test('the chance of a count, worked by hand: halfway between two counts it is even odds', () => {
  // Whole-stride: 5.5 strides of ground is exactly n = 4½; with 4 % spread nothing else is in reach.
  const chance = (count: number) => chanceOfCount(5.5 * 3.66, count, course('whole-stride'), stride(3.66));
  expect([4, 5].map(count => Math.round(chance(count) * 100) / 100)).toEqual([0.5, 0.5]);
  // A steadier horse at 5.2 strides of ground: four is short of it by 0.3 of 5.5, which is −2.7 spreads of 2 %.
  const steady = { ...stride(3.66), spread: 0.02 };
  expect(chanceOfCount(5.2 * 3.66, 5, course('whole-stride'), steady)).toBeCloseTo(0.00319, 4);
});

test('no ground at all, and huge ground, are answered without NaN', () => {
  for (const groundM of [0, 1e-9, 1e6])
    for (const distance of [course('whole-stride'), course('two-metre'), grid(fence(), fence()), poles]) {
      const reading = readDistance(groundM, distance, TWELVE_FT);
      expect(reading.options.every(({ q, needM }) => [q, needM].every(Number.isFinite))).toBe(true);
      expect(reading.call).not.toContain('NaN');
    }
});

test('impossible arguments are refused', () => {
  expect(() => readDistance(Number.NaN, poles, TWELVE_FT)).toThrow(RangeError);
  expect(() => readDistance(-1, poles, TWELVE_FT)).toThrow(RangeError);
  expect(() => readDistance(1, poles, { shortM: 0, normalM: 0, longM: 0 })).toThrow(RangeError);
  expect(() => groundForCountM(1.5, poles, 1)).toThrow(RangeError);
});

test('the two-metre chance stretches the strides alone, as q does', () => {
  // 2 m to land and 2 m to take off at 1 m high, and four and a half strides of 3.5 m: even odds of four and of five.
  const groundM = 4 + 4.5 * 3.5;
  const chance = (count: number) => chanceOfCount(groundM, count, course('two-metre'), stride(3.5));
  expect(chance(4)).toBeCloseTo(0.5, 2);
  expect(chance(5)).toBeCloseTo(0.5, 2);
  // Of 4 + 5 × 3.5 m five takes a stride 4 × 0.04 = 16 % longer to become four and a half: with a spread of 4 % it is
  // q = (17.5 ÷ 4.5) ÷ 3.5 = 1.111, 2.78 standard deviations off; to become five and a half 0.909, 2.27 off (any table).
  const five = chanceOfCount(4 + 5 * 3.5, 5, course('two-metre'), stride(3.5));
  expect(five).toBeCloseTo(0.9973 - 0.0116, 3);
});
